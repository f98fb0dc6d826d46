export * from "./o-rings";
export * from "./ring-gaskets";
