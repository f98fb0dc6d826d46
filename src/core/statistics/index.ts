export * from "./trend";
export * from "./weibull";
