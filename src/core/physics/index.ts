export * from "./drain";
