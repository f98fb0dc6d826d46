export { crossingOrder } from "./pattern";
export * from "./torque";
