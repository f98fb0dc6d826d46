import { register } from "tsx/esm/api";

// A worker thread has to be told anew that what it loads is TypeScript.
register();
const { default: work } = await import("./work.ts");
export default work;
