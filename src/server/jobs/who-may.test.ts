import { beforeEach, describe, expect, it } from "vitest";
import { START, Walk } from "@/core/job/job.fixtures";
import { demoServices } from "../demo.fixtures";
import { saveThing } from "../own/save-thing";
import type { Services } from "../services";
import { appendEvents } from "./append-events";
import { openJob } from "./open-job";
import { readJob } from "./read-job";

const TAM = { id: "tam", name: "Tam Arkle" };
let services: Services;
type Symptom = { readonly says: string; readonly reach: readonly string[] };
let clock = START;
let ids = 0;
beforeEach(() => {
  clock = START;
  services = demoServices(
    () => clock,
    () => `id-${ids++}`,
  );
});

function begin(): string {
  const [{ says, reach }] = services.library.sheet("pell-ropewalk-20")!.symptoms as never as [Symptom];
  const reason = { kind: "symptom", says } as const;
  const made = openJob(services, { valve: "RW-G17", reason, reach, policy: "on-condition" }, TAM);
  if (!made.ok) throw new Error(JSON.stringify(made.error));
  return made.value.id;
}
const send = (job: string, event: object, signedIn?: ReadonlySet<string>) =>
  appendEvents(
    services,
    job,
    [{ v: 1, id: `e-${ids++}`, at: new Date(START).toISOString(), by: "Tam Arkle", ...event }],
    { signedIn },
  );

describe("who may work on a job", () => {
  it("is asked of every job that begins, and zero by another where the house says so", () => {
    expect(readJob(services, begin())!.inputs.people).toEqual({ competent: true });
    const house = services.things.one("house", "house")!;
    saveThing(services, "house", "house", { row: { ...house, anotherProves: true } }, "Ina Lund");
    const reason = { kind: "symptom", says: "Weeps" } as const;
    const made = openJob(services, { valve: "NQ-H07", reason, reach: ["disc"], policy: "on-condition" }, TAM);
    expect(made.ok && readJob(services, made.value.id)!.inputs.people).toEqual({
      competent: true,
      anotherProves: true,
    });
  });
  it("is what the crew says here, whatever is sent", async () => {
    const forged = { gas: { until: "open", proof: "GC-0000" } };
    const taken = await send(begin(), { kind: "signed-on", may: forged });
    expect(taken.ok && taken.value.at(-1)!.event).toMatchObject({ may: { fire: { proof: "FS-2207" } } });
    expect(JSON.stringify(taken)).not.toContain("GC-0000");
  });
  it("cannot be walked round by the route", async () => {
    const job = begin();
    const { inputs } = readJob(services, job)!;
    const walk = new Walk(inputs).until((step) => step.phase === "isolate");
    clock = walk.now;
    for (const event of walk.events) expect(await send(job, event)).toMatchObject({ ok: true });
    const step = walk.job.current!.id;
    const refused = await send(job, { kind: "step-done", step, at: new Date(walk.now).toISOString() });
    expect(refused).toMatchObject({ ok: false, error: { kind: "refused" } });
    expect(!refused.ok && refused.error.problems[0]!.message).toContain("signs on first");
  });
});

describe("an entry by somebody who is not signed in on the device", () => {
  it("is not taken, and told to wait there; of those signed in it is", async () => {
    const job = begin();
    const note = { kind: "note-added", text: "Seen." };
    const absent = await send(job, note, new Set(["Isla Venn"]));
    expect(absent).toMatchObject({ ok: false, error: { kind: "not-signed-in" } });
    expect(!absent.ok && absent.error.problems[0]).toMatchObject({
      path: "/events/0/by",
      message: expect.stringContaining("stays on the device"),
    });
    expect((await send(job, note, new Set(["Isla Venn", "Tam Arkle"]))).ok).toBe(true);
  });
  it("of a name that is nobody's, that is told first", async () => {
    const told = await send(begin(), { kind: "note-added", text: "Seen.", by: "Nobody" }, new Set());
    expect(told).toMatchObject({ ok: false, error: { kind: "unreadable" } });
  });
});
