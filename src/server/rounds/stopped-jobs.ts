import { workOf } from "@/core/due-work";
import type { Run } from "@/core/job";
import { placeOf } from "@/core/places";
import { speaker, stepTitle } from "@/words";
import { readJob } from "../jobs/read-job";
import type { Services } from "../services";
import type { HousePace } from "./house-pace";
import { endOfDay, mayBeDone, placesByName, type RingingValve, spotKey } from "./ringing-valve";

/** Jobs that somebody stopped: somebody goes on with them. What is shut stays shut until then, so they are due at once. */
export function stoppedJobs(services: Services, pace: HousePace): RingingValve[] {
  const places = placesByName(services);
  return services.summaries.open().flatMap(({ job: id }): RingingValve[] => {
    const read = readJob(services, id);
    if (read?.run.ok !== true) return [];
    const job = read.run.value;
    const { status, current, inputs } = job;
    if (status.kind !== "stopped" || current === undefined) return [];
    const { valve, reason } = inputs;
    const { rounds } = speaker().say;
    return [
      {
        tag: valve.tag,
        name: valve.name,
        place: valve.place,
        what: rounds.goOn(stepTitle(speaker(), current)),
        interval: reason.says,
        why: rounds.stoppedBy(status.by, status.reason),
        due: endOfDay(services.now()),
        reported: true,
        line: valve.line,
        spot: spotKey(valve, places),
        mayBeDone: mayBeDone(placeOf(valve.place, places), undefined),
        ...pace.taken(leftOf(job), inputs.sheet.family),
        job: id,
      },
    ];
  });
}

/** What is left of a job; what it has shut is shut already, and nobody else shuts off with it. */
function leftOf({ inputs, plan, states, minutesLeft }: Run) {
  const steps = plan.steps.filter(({ id }) => states.get(id)?.kind !== "done");
  const { shut: _, ...work } = workOf(inputs, { ...plan, steps, minutes: minutesLeft });
  return { ...work, shuts: [] };
}
