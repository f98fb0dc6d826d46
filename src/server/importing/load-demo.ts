import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import type { JobDocument } from "@/core/formats";
import { chainStart, seal } from "@/core/job";
import { streetGrid } from "@/core/line";
import type { Problem, Result } from "@/core/result";
import type { Installation } from "../proof/installation";
import { anchorHash, ledgerStart } from "../proof/ledger";
import type { Services } from "../services";
import { moveStock, type SentMove } from "../store/move";
import { placeOrder } from "../store/orders";
import { type IncomingFile, importFiles } from "./import-files";

const SCENARIO = join(process.cwd(), "demo");
const DATE = /\d{4}-\d{2}-\d{2}(?:T\d{2}:\d{2}:\d{2}(?:\.\d+)?Z)?/g;
const DAY_LONG = "2026-01-01".length;

const read = (folder: string): IncomingFile[] =>
  readdirSync(join(SCENARIO, folder))
    .filter((name) => name.endsWith(".json"))
    .map((name) => ({
      name: join(folder, name),
      text: readFileSync(join(SCENARIO, folder, name), "utf8"),
    }));

/** Every date moved so that the scenario's anchor is `now`: the demo never goes stale. */
function datesMoved(now: number): (text: string) => string {
  const { anchor } = JSON.parse(readFileSync(join(SCENARIO, "scenario.json"), "utf8")) as { anchor: string };
  const shift = now - Date.parse(anchor);
  return (text) =>
    text.replace(DATE, (date) => {
      const then = new Date(Date.parse(date) + shift).toISOString();
      return date.length === DAY_LONG ? then.slice(0, DAY_LONG) : then;
    });
}

/** The scenario's stores. */
export const storeFiles = (now: number): IncomingFile[] => {
  const moved = datesMoved(now);
  return read("stores").map(({ name, text }) => ({ name, text: moved(text) }));
};

/** The scenario's files, without its stores. */
export function scenarioFiles(now: number, installation: Installation): IncomingFile[] {
  const moved = datesMoved(now);
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
  return [...read("../library"), ...read("lines"), ...csv, ...jobs];
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

/** What the demo brings is sound, or it is a bug. */
function sound(done: Result<unknown, readonly Problem[]>): void {
  if (!done.ok) throw new Error(`the demo does not load: ${JSON.stringify(done.error.slice(0, 5), null, 1)}`);
}

/** Loads files by the importer that users have. */
const load = (services: Services, files: readonly IncomingFile[]): void =>
  sound(importFiles(services, files, "Sallow Holm"));

export function loadDemo(services: Services): void {
  stockTheStore(services);
  load(services, scenarioFiles(services.now(), services.installation));
}

/** What happened in the store of the scenario, as it was booked then. */
interface StoreMoves {
  readonly stockedDaysBefore: number;
  readonly moves: readonly { readonly daysBefore: number; readonly by: string; readonly move: SentMove }[];
  readonly orders: readonly {
    readonly daysBefore: number;
    readonly dueDaysAfter: number;
    readonly by: string;
    readonly order: Omit<Parameters<typeof placeOrder>[1], "due">;
  }[];
}
const DAY_MS = 86_400_000;

/** The store was stocked half a year ago; all since was booked as it happened. */
function stockTheStore(services: Services): void {
  const now = services.now();
  const then = (daysBefore: number): Services => ({ ...services, now: () => now - daysBefore * DAY_MS });
  const { stockedDaysBefore, moves, orders } = JSON.parse(
    readFileSync(join(SCENARIO, "store-moves.json"), "utf8"),
  ) as StoreMoves;
  load(then(stockedDaysBefore), storeFiles(now));
  const [store] = services.library.stores();
  for (const { daysBefore, by, move } of moves) sound(moveStock(then(daysBefore), store!.id, [move], by));
  for (const { daysBefore, dueDaysAfter, by, order } of orders) {
    const due = new Date(now + dueDaysAfter * DAY_MS).toISOString().slice(0, DAY_LONG);
    sound(placeOrder(then(daysBefore), { ...order, due }, by));
  }
}

/** The town's whole main, made by rule: too large to keep as a file, and the same every time. */
export function loadTownMain(services: Services): void {
  const town = streetGrid(20_000, 1, { id: "town-main", name: "Sallow Holm town main" });
  load(services, [{ name: "lines/town-main.json", text: JSON.stringify(town) }]);
}
