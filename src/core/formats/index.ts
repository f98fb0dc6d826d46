export * from "./job";
export * from "./line";
export { LINK_COLUMNS, linkRows, linksFromRows } from "./link-csv";
export * from "./read";
export * from "./register";
export * from "./sheet";
export * from "./store";
