import type { Line, Sheet, Trouble, TroubleFacts, Valve } from "@/core/formats";
import { heldOn } from "@/core/job";
import { trendOf } from "@/core/statistics";
import { around, frostBetween, jobCosts, readWorld, seasonAt } from "@/core/trouble";
import { heldShut, jobInputs } from "../jobs/open-job";
import type { Services } from "../services";
import { countsOf, learntCases } from "./learnt";

const DAY_MS = 86_400_000;
const MONTH_MS = 30.44 * DAY_MS;
const YEAR_MS = 365.25 * DAY_MS;
/** Jobs further back say nothing of what is wrong now. */
const MOST_JOBS = 5;

/** What is known of a valve and its day, for any complaint. */
export type KnownFacts = Omit<TroubleFacts, "complaint" | "found"> & {
  /** How often each cause was found, by complaint. */
  readonly foundFor: Readonly<Record<string, Readonly<Record<string, number>>>>;
};

/** What is known of a valve before anybody looks: its age, its jobs, the season, its line, its readings, what ends cost. */
export function knownFacts(services: Services, valve: Valve, sheet: Sheet, knowledge: Trouble): KnownFacts {
  const { library, now } = services;
  const at = now();
  const line = valve.line === undefined ? undefined : library.line(valve.line);
  const learnt = learntCases(services, knowledge);
  const serviced = valve.serviced === undefined ? undefined : Date.parse(valve.serviced);
  const south = (valve.lat ?? 0) < 0;
  return {
    ...(valve.installed !== undefined && { age_years: (at - Date.parse(valve.installed)) / YEAR_MS }),
    ...(serviced !== undefined && { sinceService_months: (at - serviced) / MONTH_MS }),
    worked: workedOn(services, valve.tag),
    season: seasonAt(at, south),
    frost: frostBetween(serviced ?? at - YEAR_MS, at, south),
    trends: trendsOf(services, valve.tag),
    ...ofLine(services, valve, sheet, knowledge, line),
    costs: costsOf(services, valve, sheet, knowledge),
    weigh: weighed(services),
    foundFor: Object.fromEntries(knowledge.complaints.map(({ id }) => [id, countsOf(learnt, id)])),
  };
}

function workedOn({ summaries, jobs, now }: Services, tag: string): NonNullable<TroubleFacts["worked"]> {
  return summaries
    .ofValve(tag)
    .filter(({ closedAt, status }) => closedAt !== null && status === "signed-off")
    .slice(0, MOST_JOBS)
    .map(({ job, closedAt }) => ({
      days: Math.max(0, (now() - closedAt!) / DAY_MS),
      parts: [...(jobs.find(job)?.inputs.reach ?? [])],
    }));
}

/** Which way each reading goes, where it goes somewhere. */
function trendsOf({ library }: Services, tag: string): NonNullable<TroubleFacts["trends"]> {
  const readings = library.readings(tag);
  return Object.fromEntries(
    [...new Set(readings.map(({ what }) => what))].flatMap((what) => {
      const of = readings.filter((each) => each.what === what);
      const trend = trendOf(of.map(({ at, si }) => ({ time: at, value: si })));
      if (trend?.slopeError === undefined || Math.abs(trend.slope) < 2 * trend.slopeError) return [];
      return [[what, trend.slope > 0 ? ("rises" as const) : ("falls" as const)]];
    }),
  );
}

function ofLine(
  services: Services,
  { line: id, node, tag, build }: Valve,
  sheet: Sheet,
  knowledge: Trouble,
  line: Line | undefined,
): Pick<TroubleFacts, "world" | "heldByJob" | "neighbourPasses"> {
  const held = line === undefined || id === undefined ? undefined : heldOn(line, heldShut(services, id));
  const place = around({
    sheet,
    at: node ?? tag,
    ...(build !== undefined && { build }),
    ...(line !== undefined && { line }),
  });
  return {
    world: readWorld(knowledge, place, sheet),
    heldByJob: place.stops.some((stop) => held?.has(stop) === true),
    neighbourPasses:
      line?.links.some(
        (link) => link.kind === "valve" && link.passes === true && place.stops.includes(link.id),
      ) === true,
  };
}

function costsOf(
  services: Services,
  valve: Valve,
  sheet: Sheet,
  knowledge: Trouble,
): NonNullable<TroubleFacts["costs"]> {
  const [first] = sheet.symptoms;
  const inputs = jobInputs(
    services,
    {
      valve: valve.tag,
      reason: { kind: "symptom", says: first?.says ?? sheet.title },
      reach: first?.reach ?? [],
      policy: sheet.renewal?.usual ?? "on-condition",
      where: sheet.traits?.includes("carried") === true && valve.line === undefined ? "carried" : "line",
    },
    "nobody yet",
  );
  return inputs.ok ? jobCosts(knowledge, inputs.value) : {};
}

/** What a trip, an outage and money weigh in minutes of work, by the rates of the store. */
function weighed({ library }: Services): NonNullable<TroubleFacts["weigh"]> {
  const rates = library.stores().find((store) => store.rates !== undefined)?.rates;
  if (rates === undefined || rates.hour <= 0) return {};
  return {
    trip_min: (rates.trip / rates.hour) * 60,
    outage: rates.outage_hour / rates.hour,
    money_min: 60 / rates.hour,
  };
}
