import type { Case, Trouble } from "@/core/formats";
import { run } from "@/core/job";
import { causeFound } from "@/core/trouble";
import type { Services } from "../services";

export interface LearntCase extends Case {
  /** The cause it turned out to be. */
  readonly found: string;
  readonly place: string;
}

/** Cases of a family whose cause was found; of a job only once it is signed, and no longer when it is undone. */
export function learntCases(services: Services, knowledge: Trouble): LearntCase[] {
  const { things, register } = services;
  return things.all("case").flatMap((each): LearntCase[] => {
    if (each.family !== knowledge.family) return [];
    const found = causeFound(
      knowledge,
      each,
      each.job === undefined ? undefined : findingsOf(services, each.job),
    );
    const place = register.anyValve(each.valve)?.place ?? "";
    return found === undefined ? [] : [{ ...each, found, place }];
  });
}

/** What a signed job found; nothing of one that is not signed, or not to be relied on. */
function findingsOf({ jobs, kept }: Services, id: string) {
  const entries = jobs.head(id)?.entries ?? 0;
  const key = `findings ${id} ${entries}`;
  const known = kept.get(key) as { readonly findings: ReturnType<typeof read> } | undefined;
  if (known !== undefined) return known.findings;
  const findings = read();
  kept.set(key, { findings });
  return findings;

  function read() {
    const job = jobs.provenance(id).origin === "foreign" ? undefined : jobs.find(id);
    const whole =
      job &&
      run(
        job.inputs,
        job.events.map(({ event }) => event),
      );
    return whole?.ok === true && whole.value.status.kind === "signed-off"
      ? whole.value.plan.findings
      : undefined;
  }
}

/** How often each cause was found for a complaint. */
export const countsOf = (cases: readonly LearntCase[], complaint: string): Record<string, number> => {
  const counts: Record<string, number> = {};
  for (const { found, complaint: of } of cases)
    if (of === complaint) counts[found] = (counts[found] ?? 0) + 1;
  return counts;
};
