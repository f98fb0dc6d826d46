import { rmSync } from "node:fs";
import { LOADED_DEMO, loadDemo } from "./server";

/** Loads the demo the servers of this run begin with. */
export default async function loadOnce(): Promise<void> {
  rmSync(LOADED_DEMO, { recursive: true, force: true });
  await loadDemo(LOADED_DEMO, "--without-town-main");
}
