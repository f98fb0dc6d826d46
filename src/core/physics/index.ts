export * from "./drain";
export * from "./liquids";
export * from "./locked-liquid";
export * from "./standing-test";
