import { dues } from "@/core/findings";
import type { Sheet } from "@/core/formats";
import { type Bell, outOfService, type Run } from "@/core/job";
import { toSI, unitNamed } from "@/core/quantity";
import { chooseKits } from "@/core/store";
import type { StoredReading } from "@/data";
import { jobAt } from "../jobs/append-events";
import type { Services } from "../services";

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
function cardOf(job: Run, bell: Bell): OpenJobCard {
  const lost = outOfService(job).map((each) => each.name);
  const done = [...job.states.values()].filter((state) => state.kind === "done").length;
  const headline =
    bell.kind === "wait"
      ? `${job.inputs.valve.tag}, stand test`
      : lost.length > 0
        ? `${lost.join(", ")} out of service`
        : `${job.inputs.valve.tag}: ${job.inputs.reason.says}`;
  const says =
    job.status.kind === "stopped"
      ? `Stopped: ${job.status.reason}. Shut: ${job.shut.join(", ") || "nothing"}.`
      : bell.kind === "wait"
        ? `Then: ${job.plan.steps.find((step) => step.id === "prove:again")?.title ?? ""}`
        : `Shut: ${job.shut.join(", ") || "nothing yet"}.`;
  return {
    bell,
    headline,
    says,
    next: job.status.kind === "stopped" ? "Take it up again" : (job.current?.title ?? "Sign off"),
    done,
    of: job.states.size,
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
/** Minutes a job takes when nothing better is known: the sheet's plan for its first symptom is used. */
const USUAL_MIN = 90;

/** What Today shows: what rings now, what rings next, what is held shut, what the van lacks, the fortnight's hours. */
export function today(services: Services, ringing: readonly Bell[]) {
  const { library, jobs, now } = services;
  const sheets = new Map(library.sheets().map((sheet) => [sheet.id, sheet]));
  const runs = jobs.open().flatMap((job) => {
    const at = jobAt(job);
    return at.ok ? [at.value] : [];
  });
  const cards = runs
    .flatMap((job) => {
      const bell = ringing.find((each) => each.job === job.inputs.id);
      return bell === undefined ? [] : [cardOf(job, bell)];
    })
    .sort((a, b) => ringing.indexOf(a.bell) - ringing.indexOf(b.bell));
  const next = ringing
    .filter((bell) => bell.kind === "due")
    .flatMap((bell): RingsNext[] => {
      const valve = library.valve(bell.valve);
      const sheet = valve && sheets.get(valve.sheet);
      return valve === undefined || sheet === undefined
        ? []
        : [
            {
              bell,
              name: valve.name,
              place: valve.place,
              sheet: sheet.title,
              symptom: valve.symptom,
              trend: worstTrend(library.readings(valve.tag), sheet),
            },
          ];
    });
  const held = runs.flatMap((job) =>
    job.shut.map((link): HeldValve => {
      const done = job.progress.done.get(`shut:${link}`);
      const name = job.inputs.line?.links.find((each) => each.id === link)?.name ?? "";
      return {
        link,
        name,
        lock: done?.entry ?? "",
        by: done?.by ?? "",
        at: done?.at ?? 0,
        valve: job.inputs.valve.tag,
        job: job.inputs.id,
      };
    }),
  );
  return {
    cards,
    next,
    held,
    short: shortages(services, sheets),
    fortnight: fortnight(services, sheets),
    empty: library.isEmpty(),
    at: now(),
  };
}

/** Kits that what is due this fortnight may need, and that the store lacks. */
function shortages({ library, now }: Services, sheets: ReadonlyMap<string, Sheet>): string[] {
  const store = library.stores()[0];
  const wanted = new Map<string, { name: string; need: number; have: number }>();
  for (const valve of library.valves()) {
    const sheet = sheets.get(valve.sheet);
    if (sheet === undefined) continue;
    const due = dues(valve, sheet, now())[0];
    if (valve.symptom === undefined && (due === undefined || due.at > now() + FORTNIGHT * DAY)) continue;
    const soft = new Map(
      sheet.parts
        .filter((part) => part.soft || part.oneUse !== undefined)
        .map((part) => [part.id, part.quantity]),
    );
    const kits = chooseKits(sheet, soft, store, valve.generation);
    for (const pick of kits.picks.filter((each) => each.kind === "kit")) {
      const have =
        store?.stock
          .filter((item) => item.item.id === pick.id)
          .reduce((sum, item) => sum + item.quantity, 0) ?? 0;
      const known = wanted.get(pick.id) ?? { name: pick.name, need: 0, have };
      wanted.set(pick.id, { ...known, need: known.need + 1 });
    }
    if (kits.missing.length > 0)
      for (const part of kits.missing) {
        const name = sheet.parts.find((each) => each.id === part)?.name ?? part;
        wanted.set(`${sheet.id}:${part}`, { name: `${name} for ${valve.tag}`, need: 1, have: 0 });
      }
  }
  return [...wanted.values()]
    .filter((each) => each.need > each.have)
    .map((each) => `${each.name}: ${each.need} may be needed, ${each.have} in stock`);
}

/** Hours due on each of the next fourteen days; what is late counts today. */
function fortnight(
  { library, now }: Services,
  sheets: ReadonlyMap<string, Sheet>,
): { at: number; hours: number }[] {
  const midnight = new Date(now());
  midnight.setHours(0, 0, 0, 0);
  const days = Array.from({ length: FORTNIGHT }, (_, index) => ({
    at: midnight.getTime() + index * DAY,
    hours: 0,
  }));
  for (const valve of library.valves()) {
    const sheet = sheets.get(valve.sheet);
    const due = sheet && dues(valve, sheet, now())[0];
    if (due === undefined) continue;
    const index = Math.max(0, Math.floor((due.at - midnight.getTime()) / DAY));
    const day = days[index];
    if (day !== undefined) day.hours += USUAL_MIN / 60;
  }
  return days;
}
