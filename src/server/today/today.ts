import type { Sheet, Valve } from "@/core/formats";
import {
  type Course,
  type DayOfWork,
  type DueKind,
  dueList,
  endsOfDays,
  FORTNIGHT_MS,
  hoursByDay,
  runningOut,
  type Shortage,
  shortages,
  worstCourse,
} from "@/core/rounds";
import type { JobSummary } from "@/data";
import type { SpokenBell } from "@/words";
import { sistersOfValve } from "../register/courses";
import type { Services } from "../services";
import { freeStores } from "../store/held";

export interface RingsNext {
  readonly bell: SpokenBell;
  readonly name: string;
  readonly place: string;
  readonly sheet: string;
  readonly symptom: string | undefined;
  readonly course: Course | undefined;
}

export interface OpenJobCard {
  readonly bell: SpokenBell;
  readonly headline: string;
  readonly says: string;
  readonly next: string;
  readonly done: number;
  readonly of: number;
}

/** Who is out of service, what waits, or why it was stopped: in that order of weight. */
function cardOf(job: JobSummary, bell: SpokenBell): OpenJobCard {
  const lost = job.lost.map((each) => each.name);
  const shut = job.held.flatMap((each) => (each.open === true ? [] : [each.link])).join(", ");
  const headline =
    bell.kind === "wait"
      ? `${job.valve}, ${bell.title.toLowerCase()}`
      : lost.length > 0
        ? `${lost.join(", ")} out of service`
        : `${job.valve}: ${job.says}`;
  const says =
    job.status === "stopped"
      ? `Stopped: ${job.because}. Shut: ${shut || "nothing"}.`
      : bell.kind === "wait"
        ? `Then: ${job.afterwards}`
        : `Shut: ${shut || "nothing yet"}.`;
  return {
    bell,
    headline,
    says,
    next: job.status === "stopped" ? "Take it up again" : job.step,
    done: job.done,
    of: job.steps,
  };
}

export interface HeldValve {
  readonly link: string;
  readonly name: string;
  readonly lock: string;
  /** A bypass that is kept open. */
  readonly open?: true;
  readonly by: string;
  readonly at: number;
  readonly valve: string;
  readonly job: string;
}

/** Open jobs that have a card, valves that are listed, jobs that hold something shut: what one person can take in. */
const MOST_CARDS = 6;
/** Cards the page has room for before what is due by now gets one, too. */
const ROOM = 3;
/** Kits and parts that are told: the list is to be read. */
const MOST_TOLD = 12;
const MOST_NEXT = 15;
const MOST_HELD = 12;
/** Competences and calibrations are told two months ahead: a course or a laboratory takes its time. */
const RUNS_OUT_MS = 60 * 86_400_000;

/** What Today shows: what rings now, what rings next, what is held shut, what the van lacks, the fortnight's hours. */
export function today(services: Services, ringing: readonly SpokenBell[]) {
  const { library, summaries, now } = services;
  const first = new Map<string, SpokenBell>();
  for (const bell of ringing) {
    if (first.size === MOST_CARDS) break;
    if (bell.job !== undefined && !first.has(bell.job)) first.set(bell.job, bell);
  }
  const held = summaries.holding();
  const cards = [...first].flatMap(([job, bell]) => {
    const summary = summaries.of(job);
    return summary === undefined ? [] : [cardOf(summary, bell)];
  });
  return {
    cards,
    jobs: summaries.countOpen(),
    due: dueList(ringsNext(services, ringing), now(), ROOM - cards.length),
    held: held
      .slice(0, MOST_HELD)
      .flatMap(({ job, valve, held: links }) => links.map((link): HeldValve => ({ ...link, valve, job }))),
    heldInAll: held.reduce((sum, { held: links }) => sum + links.length, 0),
    short: lacks(services),
    fortnight: fortnight(services),
    runsOut: runningOut(
      library.people(),
      services.things.all("instrument"),
      library.stores(),
      now() + RUNS_OUT_MS,
    ),
    empty: library.isEmpty(),
    at: now(),
  };
}

function ringsNext(services: Services, ringing: readonly SpokenBell[]): RingsNext[] {
  const { library, register } = services;
  const due = ringing.filter(({ kind }) => kind === "due" || kind === "case").slice(0, MOST_NEXT);
  const tags = due.map((bell) => bell.valve);
  const valves = register.some(tags);
  const readings = library.readingsOf(tags);
  const sheets = new Map<string, Sheet | undefined>();
  const sheetOf = (id: string) => {
    if (!sheets.has(id)) sheets.set(id, library.sheet(id));
    return sheets.get(id);
  };
  const courseOf = (valve: Valve, sheet: Sheet) =>
    worstCourse(readings.get(valve.tag) ?? [], sheet, sistersOfValve(services, valve, sheet.id));
  return due.flatMap((bell): RingsNext[] => {
    const valve = valves.get(bell.valve);
    const sheet = valve && sheetOf(valve.sheet);
    return valve === undefined || sheet === undefined
      ? []
      : [
          {
            bell,
            name: valve.name,
            place: valve.place,
            sheet: sheet.title,
            symptom: bell.kind === "due" ? valve.symptom : undefined,
            course: courseOf(valve, sheet),
          },
        ];
  });
}

function fortnight({ register, now }: Services): DayOfWork[] {
  const midnight = new Date(now());
  midnight.setHours(0, 0, 0, 0);
  return hoursByDay(midnight.getTime(), register.dueBy(endsOfDays(midnight.getTime()), now()));
}

/** What the due work may lack. */
function lacks(services: Services): Shortage[] {
  const { library, register, now } = services;
  const at = now();
  const sheets = new Map<string, Sheet | undefined>();
  const due = register.dueKinds(at + FORTNIGHT_MS, at).flatMap((kind): DueKind[] => {
    if (!sheets.has(kind.sheet)) sheets.set(kind.sheet, library.sheet(kind.sheet));
    const sheet = sheets.get(kind.sheet);
    return sheet === undefined
      ? []
      : [{ sheet, generation: kind.generation ?? undefined, count: kind.count }];
  });
  return shortages(due, freeStores(services)).slice(0, MOST_TOLD);
}

/** All that Today shows. */
export type Today = ReturnType<typeof today>;
