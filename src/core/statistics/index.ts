export * from "./crossed";
export * from "./drift";
export * from "./normal";
export * from "./trend";
export * from "./weibull";
