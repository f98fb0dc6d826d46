import { join } from "node:path";
import {
  type AccessRepository,
  type AnchorRepository,
  accessRepository,
  anchorRepository,
  type Db,
  type EditRepository,
  editRepository,
  type FindRepository,
  findRepository,
  type JobRepository,
  jobRepository,
  type LibraryRepository,
  libraryRepository,
  type MovementRepository,
  movementRepository,
  openDatabase,
  openToRead,
  photoPieceRepository,
  type RegisterRepository,
  registerRepository,
  type SummaryRepository,
  summaryRepository,
  type ThingRepository,
  thingRepository,
} from "@/data";
import type { Folders } from "./backup/backups";
import { JobsInHand } from "./jobs/jobs-in-hand";
import { Live } from "./live";
import { type Installation, installationIn, passingInstallation } from "./proof/installation";
import { Turns } from "./turns";

/** What use cases are given: a database behind repositories, the installation's key, a clock, ids. */
export interface Services {
  readonly db: Db;
  readonly jobs: JobRepository;
  readonly photoPieces: ReturnType<typeof photoPieceRepository>;
  readonly summaries: SummaryRepository;
  readonly library: LibraryRepository;
  readonly register: RegisterRepository;
  readonly find: FindRepository;
  readonly anchors: AnchorRepository;
  readonly edits: EditRepository;
  readonly things: ThingRepository;
  readonly movements: MovementRepository;
  readonly access: AccessRepository;
  readonly installation: Installation;
  /** Jobs somebody works on now, as they stand. */
  readonly inHand: JobsInHand;
  /** Who is to hear that something changed. */
  readonly live: Live;
  /** Who may store. */
  readonly turns: Turns;
  /** What is remembered between requests, by name: the framework loads a module more than once, this is there once. */
  readonly kept: Map<string, unknown>;
  readonly now: () => number;
  readonly newId: () => string;
}

export function servicesOn(
  db: Db,
  now: () => number = Date.now,
  newId: () => string = () => crypto.randomUUID(),
  installation: Installation = passingInstallation(),
): Services {
  return {
    db,
    jobs: jobRepository(db),
    photoPieces: photoPieceRepository(db),
    summaries: summaryRepository(db),
    library: libraryRepository(db),
    register: registerRepository(db),
    find: findRepository(db),
    anchors: anchorRepository(db),
    edits: editRepository(db),
    things: thingRepository(db),
    movements: movementRepository(db),
    access: accessRepository(db),
    installation,
    inHand: new JobsInHand(),
    live: new Live(),
    turns: new Turns(),
    kept: new Map(),
    now,
    newId,
  };
}

/** What was read is read again: the tables were emptied, or somebody else has written to the file. */
export function forget({ jobs, library, register, inHand }: Services): void {
  jobs.forget();
  library.forget();
  register.forget();
  inHand.forget();
}

/** Reads what belongs together as it stood at one moment: another process may store between two readings. */
export const atOneMoment = <T>({ db }: Services, read: () => T): T => db.transaction(read);

/** Services on a database that passes with the process: for tests. */
export const passingServices = (
  now?: () => number,
  newId?: () => string,
  installation?: Installation,
): Services => servicesOn(openDatabase(":memory:"), now, newId, installation);

/** The demo has a data folder of its own, so that nothing made up mixes with real work. */
export const isDemo = (): boolean => process.env.LOFTBELL_MODE === "demo";
export const dataFolder = (): string =>
  process.env.LOFTBELL_DATA ?? join(process.cwd(), ".data", isDemo() ? "demo" : "own");
/** Backups lie beside the data, or where somebody wants them: best on another disk. */
export const folders = (): Folders => ({
  data: dataFolder(),
  backups: process.env.LOFTBELL_BACKUPS ?? join(dataFolder(), "backups"),
});
export const databasePath = (): string => join(dataFolder(), "loftbell.db");

/** Minutes the server's clock is set ahead: for drills and tests that cannot wait; the health route shows it. */
export const clockAheadMinutes = (): number => Number(process.env.LOFTBELL_CLOCK_AHEAD_MIN ?? 0) || 0;

export const setClockAhead = (minutes: number): void => {
  process.env.LOFTBELL_CLOCK_AHEAD_MIN = String(minutes);
};

const onFolder = (open: (path: string) => Db): Services =>
  servicesOn(
    open(databasePath()),
    () => Date.now() + clockAheadMinutes() * 60_000,
    undefined,
    installationIn(dataFolder()),
  );

/** Services on the database of this process's data folder. */
export const ownServices = (): Services => onFolder(openDatabase);

// The server loads its modules twice (itself, and inside the framework): the connection is shared by both.
const kept = globalThis as typeof globalThis & { loftbell?: Services };

/** The services of this process, wired once. */
export function services(): Services {
  kept.loftbell ??= ownServices();
  return kept.loftbell;
}

/** Services that see one moment for as long as they are open: what is read by them belongs together. */
export function momentServices(): Services {
  const seen = onFolder(openToRead);
  seen.db.$client.exec("begin");
  // The moment is the first reading.
  seen.jobs.ids();
  return seen;
}

/** The services of a process that only reads what another one stores. */
export function readingServices(): Services {
  kept.loftbell ??= onFolder(openToRead);
  return kept.loftbell;
}
