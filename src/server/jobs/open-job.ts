import type { JobInputs } from "@/core/formats";
import { type HeldShut, lineAsItStands, run } from "@/core/job";
import { err, ok, type Problem, type Result } from "@/core/result";
import type { Services } from "../services";

export interface OpenJob {
  readonly valve: string;
  readonly reason: JobInputs["reason"];
  readonly reach: readonly string[];
  readonly policy: JobInputs["policy"];
  readonly by: string;
}

/** Valves of the lines that open jobs hold shut, so that a second job neither opens nor counts on them unawares. */
export function heldShut({ jobs }: Pick<Services, "jobs">, except?: string): HeldShut {
  const held = new Map<string, { job: string; valve: string; position?: string }>();
  for (const job of jobs.open()) {
    if (job.inputs.id === except) continue;
    const at = run(
      job.inputs,
      job.events.map((each) => each.event),
    );
    if (!at.ok) continue;
    const by = { job: job.inputs.id, valve: job.inputs.valve.tag };
    const { isolation } = at.value.plan;
    const turned = isolation?.ok === true ? isolation.value.turned : [];
    for (const link of at.value.shut) {
      const position = turned.find((each) => each.node === link)?.to.id;
      held.set(link, position === undefined ? by : { ...by, position });
    }
  }
  return held;
}

/** The inputs a job on this valve would begin with: nothing is stored. */
export function jobInputs(services: Services, ask: OpenJob): Result<JobInputs, Problem[]> {
  const { library, now, newId } = services;
  const valve = library.valve(ask.valve);
  if (valve === undefined)
    return err([{ path: "/valve", message: `No valve "${ask.valve}" is in the register.` }]);
  const sheet = library.sheet(valve.sheet);
  if (sheet === undefined)
    return err([
      { path: "/valve", message: `The sheet "${valve.sheet}" of this valve is missing. Bring it in first.` },
    ]);
  const line = valve.line === undefined ? undefined : library.line(valve.line);
  const store = library.stores()[0];
  const inputs: JobInputs = {
    id: newId(),
    valve,
    sheet,
    ...(line !== undefined && { line: lineAsItStands(line, heldShut(services)) }),
    ...(store !== undefined && { store }),
    reason: ask.reason,
    reach: [...ask.reach],
    policy: ask.policy,
    openedAt: new Date(now()).toISOString(),
    openedBy: ask.by,
  };
  if (ask.reach.length === 0) return err([{ path: "/reach", message: "Choose at least one part to reach." }]);
  if (ask.reason.says.trim() === "")
    return err([{ path: "/reason/says", message: "Say why the job is done." }]);
  const first = run(inputs, []);
  return first.ok ? ok(inputs) : err([{ path: "/reach", message: first.error }]);
}

/** Opens a job; a valve has one open job at a time. */
export function openJob(services: Services, ask: OpenJob): Result<JobInputs, Problem[]> {
  return services.db.transaction(
    (): Result<JobInputs, Problem[]> => {
      const running = services.jobs.openOfValve(ask.valve);
      if (running !== undefined)
        return err([
          {
            path: "/valve",
            message: `A job on ${ask.valve} is open already. Go on with that one, or sign it off.`,
          },
        ]);
      const inputs = jobInputs(services, ask);
      if (inputs.ok) services.jobs.create(inputs.value);
      return inputs;
    },
    { behavior: "immediate" },
  );
}
