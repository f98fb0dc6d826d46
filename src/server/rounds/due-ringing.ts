import { type Beside, type NotPlanned, type Ringing, shutOnce, workOf } from "@/core/due-work";
import type { Place, Sheet, Valve } from "@/core/formats";
import { run } from "@/core/job";
import { placeOf, spotOf } from "@/core/places";
import { reportedOf } from "@/core/rounds";
import { AT_ONCE } from "@/data";
import { offerOf } from "../jobs/open-job";
import type { Services } from "../services";

/** More than this nobody plans at a time by the compiled minutes of each. */
const MOST = 1500;

/** A valve that rings within a plan, with what a screen says of it. */
export interface RingingValve extends Ringing {
  readonly name: string;
  readonly place: string;
  readonly what: string;
  /** What rings first, in the words of the sheet. */
  readonly interval: string;
  readonly why: string;
}

/**
 * What rings until then, each with its compiled job, and what of that is shut off once or never out together; what an open
 * job is at is left to that.
 */
export function dueRinging(
  services: Services,
  until: number,
): Beside & { readonly ringing: readonly RingingValve[]; readonly not: readonly NotPlanned[] } {
  const { register, library, summaries, things, now } = services;
  const places = new Map(things.all("place").map((place) => [place.name, place]));
  const ringing: RingingValve[] = [];
  // The register leaves out what a job is at.
  const atWork = new Set(summaries.openBells().map(({ valve }) => valve));
  const not: NotPlanned[] = [...atWork].map((tag) => ({ tag, kind: "at-work" }));
  for (const { tag, at, what, why, symptom } of register.dueNext(MOST)) {
    if (at > until && symptom === null) continue;
    const valve = register.valve(tag);
    const sheet = valve && library.sheet(valve.sheet);
    if (valve === undefined || sheet === undefined) continue;
    const work = workHere(services, valve, sheet, what);
    if (work === undefined) not.push({ tag, kind: "no-job" });
    else
      ringing.push({
        tag,
        name: valve.name,
        place: valve.place,
        what: symptom ?? what,
        interval: what,
        why,
        due: endOfDay(symptom === null && at !== AT_ONCE ? at : Math.min(at === AT_ONCE ? now() : at, now())),
        reported: symptom !== null,
        line: valve.line,
        spot: spotKey(valve, places),
        mayBeDone: mayBeDone(
          placeOf(valve.place, places),
          symptom === null ? intervalOf(sheet, what) : undefined,
        ),
        work,
      });
  }
  const rings = new Map(ringing.map((each) => [each.tag, each]));
  const compiled = (tag: string, together: readonly string[]) => {
    const valve = register.valve(tag)!;
    return workHere(services, valve, library.sheet(valve.sheet)!, rings.get(tag)!.interval, together);
  };
  return { ringing, not, ...shutOnce(ringing, (id) => library.line(id), compiled) };
}

/** A complaint does not wait for the season of what rings beside it. */
const mayBeDone = (
  place: Place | undefined,
  interval: Sheet["intervals"][number] | undefined,
): RingingValve["mayBeDone"] => ({
  noticeDays: place?.notice_days ?? 0,
  ...(place?.hours !== undefined && { hours: place.hours }),
  ...(interval?.season !== undefined && { season: interval.season }),
});

const intervalOf = (sheet: Sheet, what: string) => sheet.intervals.find((each) => each.what === what);

/** What is due on a day is in time until that day ends, by the clock on the wall of the server. */
const endOfDay = (at: number): number => new Date(at).setHours(23, 59, 59, 999);

/** By then the jobs of today have given back what they hold. */
const NOTHING_HELD = () => new Map();

/** Compiled as the job would begin with: what is reported of it, else what rings first. */
function workHere(
  services: Services,
  valve: Valve,
  sheet: Sheet,
  what: string,
  together: readonly string[] = [],
) {
  const offer = offerOf(services, { valve: valve.tag, together }, NOTHING_HELD);
  if (!offer.ok) return undefined;
  const interval = intervalOf(sheet, what)?.id;
  const reason =
    reportedOf(valve, sheet) ??
    sheet.symptoms.find((each) => each.interval === interval) ??
    sheet.symptoms[0];
  const reach = reason?.reach ?? [];
  const inputs = {
    ...offer.value,
    reach: [...reach],
    ...(reason?.renews && { renew: [...reason.renews] }),
    ...(reach.length === 0 && reason?.looks && { looks: reason.looks }),
  };
  const job = run(inputs, []);
  return job.ok ? workOf(inputs, job.value.plan) : undefined;
}

/** Where nobody knows the way: it counts as none. */
export const NOWHERE = "nowhere";

export const spotKey = (
  valve: Pick<Valve, "place" | "lat" | "lon">,
  places: ReadonlyMap<string, Place>,
): string => {
  const spot = spotOf(valve, places);
  return spot === undefined ? NOWHERE : `${spot.lat} ${spot.lon}`;
};
