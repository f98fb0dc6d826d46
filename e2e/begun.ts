import { cpSync } from "node:fs";
import type { JobEvent } from "@/core/formats";
import type { Step } from "@/core/job";
import { filledBy, LOADED_DEMO } from "./server";

/** A job that was begun before the test, hours ago, and done well up to a step. */
export interface Begun {
  readonly tag: string;
  readonly until: (step: Step) => boolean;
}

const HOURS_AGO_MS = 20 * 3_600_000;

/** The demo with these jobs begun in it, one after the other: a browser goes on where the test begins. */
export const demoWith =
  (...jobs: readonly Begun[]) =>
  async (folder: string): Promise<void> => {
    cpSync(LOADED_DEMO, folder, { recursive: true });
    await filledBy(async (services) => {
      const { Walk } = await import("@/core/job/job.fixtures");
      const { openJob } = await import("@/server/jobs/open-job");
      const { appendEvents } = await import("@/server/jobs/append-events");
      let clock = Date.now() - HOURS_AGO_MS;
      const then = { ...services, now: () => clock };
      for (const { tag, until } of jobs) {
        const [symptom] = services.library.sheet(services.register.valve(tag)!.sheet)!.symptoms;
        const { says, reach, renews } = symptom!;
        const opened = openJob(
          then,
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
        const walk = new Walk(opened.value, {}, clock).until(until);
        for (const event of walk.events) {
          clock = Math.max(clock, Date.parse(event.at));
          const taken = await appendEvents(then, opened.value.id, [named(event)]);
          if (!taken.ok) throw new Error(JSON.stringify(taken.error));
        }
        clock = Math.max(clock, walk.now) + 60_000;
      }
    })(folder);
  };

/** Ids are the whole database's. */
const named = (event: JobEvent): JobEvent => ({ ...event, id: crypto.randomUUID() });
