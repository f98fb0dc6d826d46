export { crossingOrder } from "./pattern";
export * from "./spanners";
export * from "./threads";
export * from "./torque";
