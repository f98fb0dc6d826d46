import { type Beside, type NotPlanned, shutOnce, workOf } from "@/core/due-work";
import type { Sheet, Valve } from "@/core/formats";
import { run } from "@/core/job";
import { placeOf } from "@/core/places";
import { reportedOf } from "@/core/rounds";
import { AT_ONCE } from "@/data";
import { offerOf } from "../jobs/open-job";
import type { Services } from "../services";
import type { HousePace } from "./house-pace";
import { endOfDay, mayBeDone, placesByName, type RingingValve, spotKey } from "./ringing-valve";
import { stoppedJobs } from "./stopped-jobs";

/** More than this nobody plans at a time by the compiled minutes of each. */
const MOST = 1500;

/**
 * What rings until then, each with its compiled job, and what of that is shut off once or never out together; what an open
 * job is at is left to that.
 */
export function dueRinging(
  services: Services,
  until: number,
  pace: HousePace,
): Beside & { readonly ringing: readonly RingingValve[]; readonly not: readonly NotPlanned[] } {
  const { register, library, summaries, now } = services;
  const places = placesByName(services);
  const ringing = stoppedJobs(services, pace);
  const stopped = new Set(ringing.map(({ tag }) => tag));
  // The register leaves out what a job is at.
  const atWork = new Set(summaries.openBells().map(({ valve }) => valve));
  const not = [...atWork].flatMap((tag): NotPlanned[] =>
    stopped.has(tag) ? [] : [{ tag, kind: "at-work" }],
  );
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
        ...pace.taken(work, sheet.family),
      });
  }
  const rings = new Map(ringing.map((each) => [each.tag, each]));
  const compiled = (tag: string, together: readonly string[]) => {
    const valve = register.valve(tag)!;
    const sheet = library.sheet(valve.sheet)!;
    const work = workHere(services, valve, sheet, rings.get(tag)!.interval, together);
    return work && pace.taken(work, sheet.family).work;
  };
  return { ringing, not, ...shutOnce(ringing, (id) => library.line(id), compiled) };
}

const intervalOf = (sheet: Sheet, what: string) => sheet.intervals.find((each) => each.what === what);

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
