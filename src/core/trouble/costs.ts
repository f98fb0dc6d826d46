import { mayCondemn, type Renewal } from "../findings";
import type { End, EndCost, JobInputs, Sheet, Trouble } from "../formats";
import { run, timesOf } from "../job";

export type JobEnd = Extract<End, { kind: "job" }>;

/** What a job end asks for on this sheet; nothing where the sheet has no such reason. */
export function jobOf(
  { symptom, reach, renews }: JobEnd,
  sheet: Sheet,
): Pick<JobInputs, "reason" | "reach" | "renew" | "looks"> | undefined {
  const reason = sheet.symptoms.find(({ id }) => id === symptom);
  if (reason === undefined) return undefined;
  const renew = renews ?? reason.renews;
  const wanted = reach ?? reason.reach;
  return {
    reason: { kind: "symptom", says: reason.says, symptom },
    reach: [...wanted],
    ...(renew !== undefined && { renew: [...renew] }),
    ...(wanted.length === 0 && reason.looks !== undefined && { looks: reason.looks }),
  };
}

/** What each end that is a job costs on this valve: compiled, so its line, its sheet and its store say so. */
export function jobCosts(
  knowledge: Trouble,
  { looks: _, renew: __, ...base }: JobInputs,
): Record<string, EndCost> {
  return Object.fromEntries(
    knowledge.ends.flatMap((end) => {
      const asked = end.kind === "job" ? jobOf(end, base.sheet) : undefined;
      const job = asked && run({ ...base, ...asked }, []);
      if (job?.ok !== true) return [];
      const { steps, minutes, kits, renewals, removed } = job.value.plan;
      const { dead_min, cover_min, outage } = timesOf(job.value.plan);
      const cost: EndCost = {
        minutes,
        money: kits.price,
        dead_min,
        cover_min,
        ...(outage && { outage_min: dead_min + cover_min }),
        ...takes(base.sheet, renewals, removed),
        tools: steps.flatMap((step) => (step.kind === "tools" ? step.bring.map(({ id }) => id) : [])),
      };
      return [[end.id, cost]];
    }),
  );
}

/** What the job takes for certain, and what it takes if a look inside says so. */
function takes(
  sheet: Sheet,
  renewals: readonly Renewal[],
  removed: readonly string[],
): Pick<EndCost, "parts" | "maybe"> {
  const quantity = (id: string) => sheet.parts.find((part) => part.id === id)?.quantity ?? 1;
  const certain = new Set(renewals.map(({ part }) => part));
  return {
    parts: Object.fromEntries([...certain].map((part) => [part, quantity(part)])),
    maybe: Object.fromEntries(mayCondemn(sheet, removed, certain)),
  };
}
