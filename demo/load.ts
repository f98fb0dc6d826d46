import { existsSync, readdirSync, readFileSync, rmSync } from "node:fs";
import { join } from "node:path";
import type { JobDocument } from "@/core/formats";
import { chainStart, seal } from "@/core/job";
import { openDatabase } from "@/data";
import { importFiles, type IncomingFile } from "@/server/importing/import-files";
import { databasePath, dataFolder, type Services, servicesOn } from "@/server/services";

const HERE = import.meta.dirname;
const DATE = /\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}(?:\.\d+)?Z/g;

/** The scenario's files with every date moved so that its anchor is `now`: the demo never goes stale. */
export function scenarioFiles(now: number): IncomingFile[] {
  const { anchor } = JSON.parse(readFileSync(join(HERE, "scenario.json"), "utf8")) as { anchor: string };
  const shift = now - Date.parse(anchor);
  const moved = (text: string) => text.replace(DATE, (date) => new Date(Date.parse(date) + shift).toISOString());
  const read = (folder: string): IncomingFile[] =>
    readdirSync(join(HERE, folder))
      .filter((name) => name.endsWith(".json"))
      .map((name) => ({ name: `${folder}/${name}`, text: readFileSync(join(HERE, folder, name), "utf8") }));
  const csv = ["register.csv", "readings.csv", "crew.csv"].map((name) => ({ name, text: moved(readFileSync(join(HERE, name), "utf8")) }));
  const jobs = read("jobs").map(({ name, text }) => ({ name, text: sealedAnew(moved(text)) }));
  return [...read("sheets"), ...read("lines"), ...read("stores"), ...csv, ...jobs];
}

/** Moving the dates breaks the seals, as it should; the demo's own jobs are sealed again. */
function sealedAnew(text: string): string {
  const job = JSON.parse(text) as JobDocument;
  let previous = chainStart(job.inputs);
  const events = job.events.map(({ event }, index) => {
    const sealed = seal(event, index + 1, event.at, previous);
    previous = sealed.seal.hash;
    return sealed;
  });
  return JSON.stringify({ ...job, events });
}

/** Loads the scenario by the importer that users have. */
export function loadDemo(services: Services): void {
  const loaded = importFiles(services, scenarioFiles(services.now()));
  if (!loaded.ok) throw new Error(`the demo does not load: ${JSON.stringify(loaded.error.slice(0, 5), null, 1)}`);
}

/** Empties the demo's folder and loads the scenario; with `keep`, only when there is nothing yet. */
export function prepareDemo(keep: boolean): void {
  if (keep && existsSync(databasePath())) return;
  for (const name of ["loftbell.db", "loftbell.db-wal", "loftbell.db-shm"]) rmSync(join(dataFolder(), name), { force: true });
  loadDemo(servicesOn(openDatabase(databasePath())));
}

if (process.argv[1] === import.meta.filename) {
  if (process.env.LOFTBELL_MODE !== "demo") throw new Error("the demo loads into the demo's data folder only: set LOFTBELL_MODE=demo");
  prepareDemo(!process.argv.includes("--reset"));
}
