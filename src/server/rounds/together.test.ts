import { beforeAll, describe, expect, it } from "vitest";
import type { HouseAsked } from "@/core/due-work";
import { notBoth, planIsolation } from "@/core/isolation";
import { run } from "@/core/job";
import { demoServices } from "../demo.fixtures";
import { jobInputs, type OpenJob, openJob } from "../jobs/open-job";
import { notProven } from "../jobs/proven";
import type { Services } from "../services";
import { askHouse } from "./ask-house";

const NOW = new Date(2026, 11, 1, 5).getTime();
const ISLA = { id: "isla", name: "Isla Venn" };

let services: Services;
let asked: HouseAsked;
beforeAll(() => {
  services = demoServices(() => NOW);
  const found = askHouse(services);
  if (!found.ok) throw new Error(found.error.kind);
  asked = found.value;
}, 60_000);

const ask = (valve: string, together?: readonly string[]): OpenJob => {
  const sheet = services.library.sheet(services.register.valve(valve)!.sheet)!;
  const { reach = [], says } = sheet.symptoms.find((each) => (each.reach ?? []).length > 0)!;
  return {
    valve,
    reason: { kind: "event", says },
    reach,
    policy: "on-condition",
    ...(together && { together }),
  };
};
const planOf = (job: ReturnType<typeof jobInputs>) => {
  if (!job.ok) throw new Error(JSON.stringify(job.error));
  const made = run(job.value, []);
  if (!made.ok || made.value.plan.isolation?.ok !== true) throw new Error("nothing is shut");
  return {
    plan: made.value.plan,
    links: made.value.plan.isolation.value.closures.map(({ link }) => link).sort(),
  };
};

describe("a job that somebody stopped", () => {
  it("rings at once, with what is left of it, and is gone on with", () => {
    const { job, why, minutes, lost } = asked.works["NQ-H02"]!;
    const open = services.summaries.openOfValve("NQ-H02")!;
    expect(job).toBe(open.job);
    expect(why).toContain("stopped");
    expect(lost.length).toBeGreaterThan(0);
    const whole = planOf(jobInputs(services, ask("NQ-H03"), ISLA.name)).plan.minutes;
    expect(minutes).toBeGreaterThan(0);
    expect(minutes).toBeLessThan(whole);
    expect(asked.not.map(({ tag }) => tag)).not.toContain("NQ-H02");
    const task = asked.question.tasks.find(({ id }) => id === "NQ-H02")!;
    expect(task.late_per_day).toBeGreaterThan(60);
    expect(task.out).toEqual(asked.question.tasks.find(({ id }) => id === "NQ-H03")!.out!.slice(0, 1));
  });

  it("one that is gone on with already is left to who is at it", () => {
    expect(asked.not).toContainEqual({ tag: "NQ-H09", kind: "at-work" });
  });
});

describe("what is shut off once in this house", () => {
  it("is found on several lines, saves the crew minutes, and no two of it twice", () => {
    const tags = asked.joint.flatMap((each) => each.tags);
    expect(asked.joint.length).toBeGreaterThan(3);
    expect(new Set(tags).size).toBe(tags.length);
    for (const {
      saves,
      tags: [first, second],
    } of asked.joint) {
      expect(saves.minutes).toBeGreaterThan(0);
      expect(asked.works[first!]!.line).toBe(asked.works[second!]!.line);
    }
  });

  it("is proven for each of its jobs, and each shuts the very same", () => {
    for (const { tags } of asked.joint) {
      const shut = tags.map((tag) => {
        const inputs = jobInputs(
          services,
          ask(
            tag,
            tags.filter((each) => each !== tag),
          ),
          ISLA.name,
        );
        const { plan, links } = planOf(inputs);
        expect(inputs.ok && notProven(plan, inputs.value), tag).toBeUndefined();
        const dangers = plan.steps.map((step) => step.dangers.map(({ kind }) => kind));
        const told = (kind: (typeof dangers)[number][number]) =>
          dangers.findIndex((each) => each.includes(kind));
        // Told before anything is opened to a person, and before anything is opened again.
        expect(told("shut-for-others"), tag).toBeGreaterThan(-1);
        expect(told("opened-before-others"), tag).toBe(
          plan.steps.findIndex(({ phase }) => phase === "restore"),
        );
        return links.join();
      });
      expect(new Set(shut).size, tags.join()).toBe(1);
    }
  });

  it("is not both of a twin: neither is out while the other is", () => {
    const line = services.library.line("tern-low-side")!;
    const [a, b] = ["TN-RV4A", "TN-RV4B"].map((tag) => {
      const plan = planIsolation(line, { open: [tag] });
      if (!plan.ok) throw new Error(plan.error.kind);
      return { opens: [tag], plan: plan.value };
    });
    expect(notBoth(line, a!, b!)).toMatchObject({ kind: "turned" });
  });

  it("says of hydrants which one has water by the other", () => {
    const { apart } = asked.works["SQ-H02"]!;
    expect(apart).toContainEqual({ tag: "SQ-H05", because: { kind: "without", name: "SQ-H09" } });
    expect(asked.works["SQ-H05"]!.apart.map(({ tag }) => tag)).toContain("SQ-H02");
  });

  it("is refused with a valve of another line, and changes nothing", () => {
    expect(openJob(services, ask("CB-D1", ["HW-M1"]), ISLA)).toMatchObject({
      ok: false,
      error: [{ path: "/together" }],
    });
    expect(services.summaries.openOfValve("CB-D1")).toBeUndefined();
  });
});
