export type { Act, WaitsFor } from "./act";
export { ACT_KINDS, perform } from "./acts";
export { differences } from "./end";
export { type EndDifference, type Harm, SEVERITY } from "./harm";
export { pass, standOver } from "./over-time";
export { type HeldByOthers, type Site, siteOf } from "./site";
export type { Truth } from "./truth";
export { World } from "./world";
