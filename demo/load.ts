import { existsSync, rmSync } from "node:fs";
import { join } from "node:path";
import { loadDemo, loadTownMain } from "@/server/importing/load-demo";
import { databasePath, dataFolder, ownServices } from "@/server/services";
import { serving } from "@/server/serving";

const FILES = ["loftbell.db", "loftbell.db-wal", "loftbell.db-shm", "newest-anchor.json"];

/** Empties the demo's folder and loads the scenario; with `keep`, only when there is nothing yet. */
function prepareDemo(keep: boolean, townMain: boolean): void {
  if (keep && existsSync(databasePath())) return;
  const url = serving();
  if (url !== undefined) {
    console.error(
      `A server works on this demo now (${url}): what it acknowledges would be lost. Press "Begin the demo anew" in its Loft, or end it first.`,
    );
    process.exit(1);
  }
  for (const name of FILES) rmSync(join(dataFolder(), name), { force: true });
  const services = ownServices();
  loadDemo(services);
  if (townMain) loadTownMain(services);
}

if (process.env.LOFTBELL_MODE !== "demo")
  throw new Error("the demo loads into the demo's data folder only: set LOFTBELL_MODE=demo");
prepareDemo(!process.argv.includes("--reset"), !process.argv.includes("--without-town-main"));
