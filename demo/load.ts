import { existsSync, rmSync } from "node:fs";
import { join } from "node:path";
import { openDatabase } from "@/data";
import { loadDemo, loadTownMain } from "@/server/importing/load-demo";
import { databasePath, dataFolder, servicesOn } from "@/server/services";

/** Empties the demo's folder and loads the scenario; with `keep`, only when there is nothing yet. */
function prepareDemo(keep: boolean, townMain: boolean): void {
  if (keep && existsSync(databasePath())) return;
  for (const name of ["loftbell.db", "loftbell.db-wal", "loftbell.db-shm"])
    rmSync(join(dataFolder(), name), { force: true });
  const services = servicesOn(openDatabase(databasePath()));
  loadDemo(services);
  if (townMain) loadTownMain(services);
}

if (process.env.LOFTBELL_MODE !== "demo")
  throw new Error("the demo loads into the demo's data folder only: set LOFTBELL_MODE=demo");
prepareDemo(!process.argv.includes("--reset"), !process.argv.includes("--without-town-main"));
