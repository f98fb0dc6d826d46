import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import type { JobDocument } from "@/core/formats";
import { chainStart, seal } from "@/core/job";
import { streetGrid } from "@/core/line";
import type { Installation } from "../proof/installation";
import { anchorHash, ledgerStart } from "../proof/ledger";
import type { Services } from "../services";
import { type IncomingFile, importFiles } from "./import-files";

const SCENARIO = join(process.cwd(), "demo");
const DATE = /\d{4}-\d{2}-\d{2}(?:T\d{2}:\d{2}:\d{2}(?:\.\d+)?Z)?/g;
const DAY_LONG = "2026-01-01".length;

/** The scenario's files with every date moved so that its anchor is `now`: the demo never goes stale. */
export function scenarioFiles(now: number, installation: Installation): IncomingFile[] {
  const { anchor } = JSON.parse(readFileSync(join(SCENARIO, "scenario.json"), "utf8")) as { anchor: string };
  const shift = now - Date.parse(anchor);
  const moved = (text: string) =>
    text.replace(DATE, (date) => {
      const then = new Date(Date.parse(date) + shift).toISOString();
      return date.length === DAY_LONG ? then.slice(0, DAY_LONG) : then;
    });
  const read = (folder: string): IncomingFile[] =>
    readdirSync(join(SCENARIO, folder))
      .filter((name) => name.endsWith(".json"))
      .map((name) => ({
        name: join(folder, name),
        text: readFileSync(join(SCENARIO, folder, name), "utf8"),
      }));
  const csv = [
    "register.csv",
    "readings.csv",
    "crew.csv",
    "places.csv",
    "instruments.csv",
    "house.json",
    "ground.geojson",
  ].map((name) => ({
    name,
    text: moved(readFileSync(join(SCENARIO, name), "utf8")),
  }));
  const jobs = read("jobs").map(({ name, text }) => ({ name, text: sealedAnew(moved(text), installation) }));
  return [...read("../library"), ...read("lines"), ...read("stores"), ...csv, ...jobs];
}

/**
 * Moving the dates breaks the seals, as it should; the demo's own jobs are sealed again, and this installation signs for
 * them: in the scenario they were done here.
 */
function sealedAnew(text: string, installation: Installation): string {
  const job = JSON.parse(text) as JobDocument;
  let previous = chainStart(job.inputs);
  const events = job.events.map(({ event }, index) => {
    const sealed = seal(event, index + 1, event.at, previous);
    previous = sealed.seal.hash;
    return sealed;
  });
  const body = {
    seq: 1,
    at: events.at(-1)?.seal.serverAt ?? job.inputs.openedAt,
    heads: [{ subject: "job" as const, id: job.inputs.id, entries: events.length, head: previous }],
    previous: ledgerStart(installation.publicKey),
  };
  const hash = anchorHash(body);
  const proof = {
    publicKey: installation.publicKey,
    anchor: { ...body, hash, signature: installation.sign(hash) },
  };
  return JSON.stringify({ ...job, events, proof });
}

/** Loads files by the importer that users have; the demo's own are sound, or it is a bug. */
function load(services: Services, files: readonly IncomingFile[]): void {
  const loaded = importFiles(services, files, "Sallow Holm");
  if (!loaded.ok)
    throw new Error(`the demo does not load: ${JSON.stringify(loaded.error.slice(0, 5), null, 1)}`);
}

export function loadDemo(services: Services): void {
  load(services, scenarioFiles(services.now(), services.installation));
}

/** The town's whole main, made by rule: too large to keep as a file, and the same every time. */
export function loadTownMain(services: Services): void {
  const town = streetGrid(20_000, 1, { id: "town-main", name: "Sallow Holm town main" });
  load(services, [{ name: "lines/town-main.json", text: JSON.stringify(town) }]);
}
