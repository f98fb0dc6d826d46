import { cpSync } from "node:fs";
import type { Step } from "@/core/job";
import type { Services } from "@/server/services";
import { filledBy, LOADED_DEMO } from "./server";

/** A job on a valve, done well before the test up to a step: the one that is open there, else one that is begun. */
export interface Begun {
  readonly tag: string;
  readonly until: (step: Step) => boolean;
}

/** To its end. */
export const done = (tag: string): Begun => ({ tag, until: () => false });

const HOURS_AGO_MS = 20 * 3_600_000;

/** The demo with these jobs done so far, one after the other: a browser goes on where the test begins. */
export const demoWith =
  (...jobs: readonly Begun[]) =>
  async (folder: string): Promise<void> => {
    cpSync(LOADED_DEMO, folder, { recursive: true });
    await filledBy(async (services) => {
      const { Walk } = await import("@/core/job/job.fixtures");
      const { appendEvents } = await import("@/server/jobs/append-events");
      let clock = Date.now() - HOURS_AGO_MS;
      const then = { ...services, now: () => clock };
      for (const { tag, until } of jobs) {
        const id = services.summaries.openOfValve(tag)?.job ?? (await begin(then, tag));
        const { inputs, events } = services.jobs.find(id)!;
        const walk = new Walk(inputs, {}, clock);
        walk.events.push(...events.map(({ event }) => event));
        // What was begun today is gone on with now.
        walk.now = Math.max(clock, ...events.map(({ event }) => Date.parse(event.at)));
        if (walk.job.status.kind === "stopped") walk.add({ kind: "resumed" });
        walk.until(until);
        for (const event of walk.events.slice(events.length)) {
          clock = Math.max(clock, Date.parse(event.at));
          const taken = await appendEvents(then, id, [{ ...event, id: crypto.randomUUID() }]);
          if (!taken.ok) throw new Error(JSON.stringify(taken.error));
        }
        clock = Math.max(clock, walk.now) + 60_000;
      }
    })(folder);
  };

async function begin(services: Services, tag: string): Promise<string> {
  const { openJob } = await import("@/server/jobs/open-job");
  const { says, reach, renews } = services.library.sheet(services.register.valve(tag)!.sheet)!.symptoms[0]!;
  const opened = openJob(
    services,
    {
      valve: tag,
      reason: { kind: "symptom", says },
      reach,
      policy: "on-condition",
      ...(renews !== undefined && { renew: renews }),
    },
    { id: "tam", name: "Tam Arkle" },
  );
  if (!opened.ok) throw new Error(JSON.stringify(opened.error));
  return opened.value.id;
}
