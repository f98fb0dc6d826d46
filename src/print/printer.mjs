import { register } from "tsx/esm/api";

// A worker thread has to be told anew that what it loads is TypeScript.
register();
const { default: print } = await import("./work.ts");
export default print;
