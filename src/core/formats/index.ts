export * from "./job";
export * from "./line";
export * from "./read";
export * from "./register";
export * from "./sheet";
export * from "./store";
