import { beforeEach, describe, expect, it } from "vitest";
import { verifyChain } from "@/core/job";
import { START, Walk } from "@/core/job/job.fixtures";
import { demoServices } from "./demo.fixtures";
import { appendEvents } from "./jobs/append-events";
import { openJob } from "./jobs/open-job";
import { readJob } from "./jobs/read-job";
import type { Services } from "./services";

const tam = { id: "tam", name: "Tam Arkle" };
let clock = START;
let services: Services;
beforeEach(() => {
  let id = 0;
  clock = START;
  services = demoServices(
    () => clock,
    () => `id-${id++}`,
  );
});

const ask = (valve: string) =>
  ({
    valve,
    reason: { kind: "symptom", says: "Weeps" },
    reach: ["disc"],
    policy: "on-condition",
  }) as const;

function begin(valve: string): string {
  const made = openJob(services, ask(valve), tam);
  if (!made.ok) throw new Error(JSON.stringify(made.error));
  return made.value.id;
}

/** The job as the server has it. */
function there(id: string) {
  const { inputs, events, run } = readJob(services, id)!;
  if (!run.ok) throw new Error(run.error.kind);
  return { inputs, events, run: run.value };
}

/** Does one step of a job well, by the server's clock; what the step needs is sent as a device would send it. */
async function doStep(id: string): Promise<void> {
  const { inputs, events } = there(id);
  const walk = new Walk(inputs, {}, clock);
  walk.events.push(...events.map(({ event }) => event));
  const had = walk.events.length;
  walk.now = clock;
  walk.doStep(walk.job.current!);
  const fresh = walk.events.slice(had).map((event, index) => ({ ...event, id: `${id}-${had + index}` }));
  clock = Math.max(clock, walk.now) + 1000;
  const taken = await appendEvents(services, id, fresh);
  if (!taken.ok) throw new Error(JSON.stringify(taken.error));
}
async function until(id: string, matches: (step: { id: string; kind: string; phase: string }) => boolean) {
  for (let guard = 0; guard < 300; guard++) {
    const current = there(id).run.current;
    if (current === undefined || matches(current)) return;
    await doStep(id);
  }
  throw new Error("does not end");
}
const held = (id: string) => [...there(id).run.progress.held].map(([link, { valve }]) => `${link} ${valve}`);

describe("two jobs on one main", () => {
  it("what one shuts and opens stands in the other's log, sealed, by whoever did it", async () => {
    const [a, b] = [begin("NQ-H07"), begin("NQ-H06")];
    const before = held(b);
    await until(a, (step) => step.phase === "prove");
    const now = held(b).filter((each) => !before.includes(each));
    expect(now.sort()).toEqual(["V-12 NQ-H07", "V-15 NQ-H07", "V-19 NQ-H07"]);
    const { events, inputs } = there(b);
    expect(events.map(({ event }) => [event.kind, event.by])).toEqual(
      Array(3).fill(["others-hold", "Tam Arkle"]),
    );
    expect(verifyChain(inputs, events).ok).toBe(true);
    await until(a, () => false);
    expect(there(a).run.status.kind).toBe("signed-off");
    expect(held(b)).toEqual(before);
  });

  it("the second waits for the first before it opens, and ends after it", async () => {
    const a = begin("NQ-H07");
    await until(a, (step) => step.phase === "strip");
    const b = begin("NQ-H06");
    await until(b, (step) => step.kind === "others");
    const waits = there(b).run;
    expect(waits.states.get(waits.current!.id)?.kind).toBe("waits-for-others");
    await until(a, (step) => step.kind === "others");
    // The first one found all that is left in the second's hands.
    await until(b, (step) => step.kind === "others");
    expect(there(b).run.status.kind).toBe("signed-off");
    await until(a, () => false);
    expect(there(a).run.status.kind).toBe("signed-off");
    expect(there(a).run.shut).toEqual([]);
  });

  it("nobody writes into a log what others hold", async () => {
    const a = begin("NQ-H07");
    const event = {
      v: 1,
      id: "mine",
      at: new Date(clock).toISOString(),
      by: "Tam Arkle",
      kind: "others-hold",
      held: [],
    };
    expect(await appendEvents(services, a, [event])).toMatchObject({
      ok: false,
      error: { kind: "unreadable", problems: [{ path: "/events/0/kind" }] },
    });
    expect(there(a).events).toEqual([]);
  });

  it("a job of the rules before is left as it is", async () => {
    const old = services.summaries.open().find(({ valve }) => valve === "NQ-H02")!.job;
    const entries = there(old).events.length;
    await until(begin("NQ-H07"), (step) => step.phase === "prove");
    expect(there(old).events).toHaveLength(entries);
  });
});
