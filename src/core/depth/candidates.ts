import type { ChosenDepth, JobInputs, Sheet, Valve } from "../formats";
import { run, timesOf } from "../job";
import { err, ok, type Problem, type Result } from "../result";
import { dues } from "../rounds";
import { type Candidate, type Condition, chosenDepth, depthsFor, type Weighing, weigh } from "./weigh";

const DAY_MS = 86_400_000;
const YEAR_MS = 365.25 * DAY_MS;

/** Which depth, and what it was weighed by. */
export type DepthAsked = Pick<ChosenDepth, "id" | "leak" | "access" | "reason">;

/** The depths that the sheet has for the reason of a job, each compiled: how long it takes, and what its kit costs. */
export const candidatesOf = ({ looks: _, ...inputs }: JobInputs): Candidate[] =>
  depthsFor(inputs.sheet, inputs.reason.symptom).flatMap((depth) => {
    const job = run({ ...inputs, reach: [...depth.reach], renew: [...depth.renews] }, []);
    if (!job.ok) return [];
    const { minutes, kits, renewals } = job.value.plan;
    const { dead_min, cover_min, outage } = timesOf(job.value.plan);
    return [
      {
        depth,
        minutes,
        price: kits.price,
        days: kits.days,
        outage_min: outage ? dead_min + cover_min : 0,
        parts: renewals.map(({ part }) => part),
      },
    ];
  });

export const conditionOf = (
  { valve, sheet, openedAt }: JobInputs,
  { leak, access }: Pick<Condition, "leak" | "access">,
): Condition => ({
  leak,
  access,
  ...(valve.installed !== undefined && {
    age_years: (Date.parse(openedAt) - Date.parse(valve.installed)) / YEAR_MS,
  }),
  ...until(valve, sheet, Date.parse(openedAt)),
});

/** What comes back before the next planned visit is a trip more: until then, if the valve is left serviced today. */
function until(valve: Valve, sheet: Sheet, now: number): Pick<Condition, "until"> {
  const { symptom: _, dueSince: __, ...rest } = valve;
  const today = new Date(now).toISOString().slice(0, 10);
  const ahead = dues({ ...rest, serviced: today }, sheet, now).filter(({ at }) => at > now + DAY_MS);
  return ahead[0] === undefined ? {} : { until: { at: ahead[0].at, years: (ahead[0].at - now) / YEAR_MS } };
}

/** All depths weighed; nothing where the sheet has none or the store gives no rates. */
export function weighDepths(
  inputs: JobInputs,
  candidates: readonly Candidate[],
  condition: Condition,
): Weighing | undefined {
  const [first, ...rest] = candidates;
  const { rates } = inputs.store ?? {};
  return first === undefined || rates === undefined
    ? undefined
    : weigh([first, ...rest], condition, rates, inputs.sheet.oldFrom_years);
}

/** What the job keeps of the depth that was asked for; a dearer one needs its reason. */
export function depthOf(inputs: JobInputs, asked: DepthAsked): Result<ChosenDepth, Problem> {
  const candidates = candidatesOf(inputs);
  const condition = conditionOf(inputs, asked);
  const weighing = weighDepths(inputs, candidates, condition);
  const kept =
    weighing &&
    chosenDepth(weighing, asked.id, condition, inputs.store?.currency ?? "", asked.reason?.trim());
  if (weighing === undefined || kept === undefined)
    return err({
      path: "/depth/id",
      message: `There is no depth "${asked.id}" to be weighed for this reason.`,
    });
  const { reach } = candidates.find(({ depth }) => depth.id === asked.id)!.depth;
  // A job that reaches something else goes by its own choice, and records no depth.
  if (reach.length !== inputs.reach.length || !reach.every((part) => inputs.reach.includes(part)))
    return err({
      path: "/depth/id",
      message: `${kept.name} reaches ${reach.map((id) => inputs.sheet.parts.find((part) => part.id === id)?.name ?? id).join(", ")}: reach just these, or leave the depth out.`,
    });
  return weighing.best.depth.id !== asked.id && kept.reason === undefined
    ? err({
        path: "/depth/reason",
        message: `${weighing.best.depth.name} costs less, all told. Say why this one.`,
      })
    : ok(kept);
}
