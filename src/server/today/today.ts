import type { Sheet } from "@/core/formats";
import type { Bell } from "@/core/job";
import { toSI, unitNamed } from "@/core/quantity";
import type { JobSummary, StoredReading } from "@/data";
import type { Services } from "../services";
import { shortages } from "./shortages";

/** A trend of one measured quantity with the band its sheet allows, SI. */
export interface Trend {
  readonly what: string;
  readonly values: readonly number[];
  readonly low?: number;
  readonly high?: number;
}

/** The trend that leans furthest towards a limit: the one worth looking at. */
export function worstTrend(readings: readonly StoredReading[], sheet: Sheet): Trend | undefined {
  const trends = sheet.checks.flatMap((check): Trend[] => {
    if (check.kind !== "measure" || check.phase !== "test") return [];
    const values = readings.filter((reading) => reading.what === check.what).map((reading) => reading.si);
    const unit = unitNamed(check.unit, check.dimension);
    if (values.length === 0 || unit === undefined) return [];
    return [
      {
        what: check.what,
        values,
        ...(check.low !== undefined && { low: toSI(check.low, unit) }),
        ...(check.high !== undefined && { high: toSI(check.high, unit) }),
      },
    ];
  });
  const margin = ({ values, low, high }: Trend) => {
    const last = values.at(-1)!;
    const toLow = low === undefined ? Number.POSITIVE_INFINITY : (last - low) / Math.abs(low || 1);
    const toHigh = high === undefined ? Number.POSITIVE_INFINITY : (high - last) / Math.abs(high || 1);
    return Math.min(toLow, toHigh);
  };
  return trends.sort((a, b) => margin(a) - margin(b))[0];
}

export interface RingsNext {
  readonly bell: Bell;
  readonly name: string;
  readonly place: string;
  readonly sheet: string;
  readonly symptom: string | undefined;
  readonly trend: Trend | undefined;
}

export interface OpenJobCard {
  readonly bell: Bell;
  readonly headline: string;
  readonly says: string;
  readonly next: string;
  readonly done: number;
  readonly of: number;
}

/** Who is out of service, what waits, or why it was stopped: in that order of weight. */
function cardOf(job: JobSummary, bell: Bell): OpenJobCard {
  const lost = job.lost.map((each) => each.name);
  const shut = job.held.map((each) => each.link).join(", ");
  const headline =
    bell.kind === "wait"
      ? `${job.valve}, stand test`
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
  readonly by: string;
  readonly at: number;
  readonly valve: string;
  readonly job: string;
}

const DAY = 86_400_000;
const FORTNIGHT = 14;
/** Minutes a job takes when nothing better is known. */
const USUAL_MIN = 90;
/** Open jobs that have a card, valves that are listed, jobs that hold something shut: what one person can take in. */
const MOST_CARDS = 6;
const MOST_NEXT = 15;
const MOST_HELD = 12;

/** What Today shows: what rings now, what rings next, what is held shut, what the van lacks, the fortnight's hours. */
export function today(services: Services, ringing: readonly Bell[]) {
  const { library, summaries, now } = services;
  const first = new Map<string, Bell>();
  for (const bell of ringing) {
    if (first.size === MOST_CARDS) break;
    if (bell.job !== undefined && !first.has(bell.job)) first.set(bell.job, bell);
  }
  const held = summaries.holding();
  return {
    cards: [...first].flatMap(([job, bell]) => {
      const summary = summaries.of(job);
      return summary === undefined ? [] : [cardOf(summary, bell)];
    }),
    jobs: summaries.countOpen(),
    next: ringsNext(services, ringing),
    held: held
      .slice(0, MOST_HELD)
      .flatMap(({ job, valve, held: links }) => links.map((link): HeldValve => ({ ...link, valve, job }))),
    heldInAll: held.reduce((sum, { held: links }) => sum + links.length, 0),
    short: shortages(services, now() + FORTNIGHT * DAY),
    fortnight: fortnight(services),
    empty: library.isEmpty(),
    at: now(),
  };
}

function ringsNext({ library, register }: Services, ringing: readonly Bell[]): RingsNext[] {
  const due = ringing.filter((bell) => bell.kind === "due").slice(0, MOST_NEXT);
  const tags = due.map((bell) => bell.valve);
  const valves = register.some(tags);
  const readings = library.readingsOf(tags);
  const sheets = new Map<string, Sheet | undefined>();
  const sheetOf = (id: string) => {
    if (!sheets.has(id)) sheets.set(id, library.sheet(id));
    return sheets.get(id);
  };
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
            symptom: valve.symptom,
            trend: worstTrend(readings.get(valve.tag) ?? [], sheet),
          },
        ];
  });
}

/** Hours due on each of the next fourteen days; what is late counts today. */
function fortnight({ register, now }: Services): { at: number; hours: number }[] {
  const midnight = new Date(now());
  midnight.setHours(0, 0, 0, 0);
  const starts = Array.from({ length: FORTNIGHT + 1 }, (_, index) => midnight.getTime() + index * DAY);
  const before = register.dueBy(
    starts.map((start) => start - 1),
    now(),
  );
  return starts.slice(0, FORTNIGHT).map((at, index) => {
    const upTo = before[index + 1]!;
    const valves = index === 0 ? upTo : upTo - before[index]!;
    return { at, hours: (valves * USUAL_MIN) / 60 };
  });
}
