import { join } from "node:path";
import {
  type Db,
  type JobRepository,
  jobRepository,
  type LibraryRepository,
  libraryRepository,
  openDatabase,
} from "@/data";

/** What use cases are given: a database behind repositories, a clock, ids. */
export interface Services {
  readonly db: Db;
  readonly jobs: JobRepository;
  readonly library: LibraryRepository;
  readonly now: () => number;
  readonly newId: () => string;
}

export function servicesOn(
  db: Db,
  now: () => number = Date.now,
  newId: () => string = () => crypto.randomUUID(),
): Services {
  return { db, jobs: jobRepository(db), library: libraryRepository(db), now, newId };
}

/** The demo has a data folder of its own, so that nothing made up mixes with real work. */
export const isDemo = (): boolean => process.env.LOFTBELL_MODE === "demo";
export const dataFolder = (): string =>
  process.env.LOFTBELL_DATA ?? join(process.cwd(), ".data", isDemo() ? "demo" : "own");
export const databasePath = (): string => join(dataFolder(), "loftbell.db");

/** Minutes the server's clock is set ahead: for drills and tests that cannot wait; the health route shows it. */
export const clockAheadMinutes = (): number => Number(process.env.LOFTBELL_CLOCK_AHEAD_MIN ?? 0) || 0;

// Next reloads modules while developing; the connection is kept across reloads.
const kept = globalThis as typeof globalThis & { loftbell?: Services };

/** The services of this process, wired once. */
export function services(): Services {
  kept.loftbell ??= servicesOn(openDatabase(databasePath()), () => Date.now() + clockAheadMinutes() * 60_000);
  return kept.loftbell;
}
