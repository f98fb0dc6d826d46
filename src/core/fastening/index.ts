export * from "./evenness";
export * from "./grades";
export * from "./nuts";
export * from "./pattern";
export * from "./spanners";
export * from "./thread-table";
export * from "./threads";
export * from "./torque";
