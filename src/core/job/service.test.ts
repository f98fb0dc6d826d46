import { describe, expect, it } from "vitest";
import type { JobInputs, Line } from "../formats";
import { planIsolation } from "../isolation";
import { Walk, wetJob } from "./job.fixtures";
import { jobAt, planOf } from "./proof.fixtures";
import { prove } from "./prove";
import type { Step, StepOf } from "./step";

const stepsOf = (inputs: JobInputs): readonly Step[] => planOf(inputs).steps;
const all = <K extends Step["kind"]>(steps: readonly Step[], kind: K) =>
  steps.filter((step): step is StepOf<K> => step.kind === kind);
const dangers = (steps: readonly Step[], kind: Step["dangers"][number]["kind"]) =>
  steps.flatMap((step) =>
    step.dangers.flatMap((danger) => (danger.kind === kind ? [{ at: step.id, danger }] : [])),
  );
const onLine = (inputs: JobInputs, change: (line: Line) => Line): JobInputs => ({
  ...inputs,
  line: change(structuredClone(inputs.line!)),
});

describe("who keeps the service", () => {
  const filter = jobAt("LD-IF1", "ottermouth-ironbrook-30", "lido-treatment");

  it("a bypass is opened before anything is shut, and shut when all has come back; nobody is told", () => {
    const steps = stepsOf(filter);
    const [open, shut] = all(steps, "bypass");
    expect(open).toMatchObject({ link: "LD-R3", how: "open", keeps: ["Calorifiers and pool", "Brine tank"] });
    expect(steps.indexOf(open!)).toBeLessThan(steps.findIndex(({ kind }) => kind === "shut"));
    expect(shut).toMatchObject({ link: "LD-R3", how: "shut" });
    expect(steps.indexOf(shut!)).toBeGreaterThan(steps.findLastIndex(({ kind }) => kind === "open"));
    expect(all(steps, "notify")).toEqual([]);
    expect(prove(planOf(filter), filter)).toMatchObject({ harms: [], differences: [] });
  });

  it("without a bypass they are told, and why they must not be without", () => {
    const plain = onLine(filter, (line) => ({
      ...line,
      links: line.links.map((link) => (link.kind === "valve" ? { ...link, bypass: false } : link)),
    }));
    const steps = stepsOf(plain);
    expect(all(steps, "bypass")).toEqual([]);
    expect(all(steps, "notify")[0]?.others).toContain("Calorifiers and pool");
    expect(dangers(steps, "must-not-be-without")).toHaveLength(1);
  });

  it("no bypass is opened that would lead to the work", () => {
    const leads = onLine(filter, (line) => ({
      ...line,
      links: line.links.map((link) =>
        link.kind === "valve" && link.id === "LD-R3" ? { ...link, to: "LD-IF1" } : link,
      ),
    }));
    expect(all(stepsOf(leads), "bypass")).toEqual([]);
  });

  it("no bypass is opened that is to be avoided", () => {
    const plan = planIsolation(filter.line!, { open: ["LD-IF1"], avoid: ["LD-R3"] });
    expect(plan).toMatchObject({ ok: true, value: { bypasses: [] } });
  });
});

describe("who keeps half of it", () => {
  it("is told that it gets cold water only", () => {
    const steps = stepsOf(jobAt("LD-M1", "ottermouth-spoolmix-25", "lido-water"));
    expect(all(steps, "notify")[0]).toMatchObject({
      others: ["Showers, pool side"],
      coldAlone: ["Showers, gym"],
    });
    expect(all(steps, "tell")[0]?.names).toEqual(["Showers, pool side", "Showers, gym"]);
  });
});

describe("who has service only when a valve opens", () => {
  const quay = wetJob();
  const sprinkled = onLine(quay, (line) => ({
    ...line,
    nodes: [
      ...line.nodes,
      { id: "zone", kind: "consumer" as const, name: "Net loft deluge", protects: true, elevation_m: 3 },
    ],
    links: [
      ...line.links,
      {
        kind: "control-valve" as const,
        id: "DV-1",
        from: "NQ-H07",
        to: "zone",
        normally: "shut" as const,
        operable: true,
        lockable: true,
        access_min: 3,
      },
    ],
  }));

  it("is told that it would find nothing, and has no service to be told back before", () => {
    expect(all(stepsOf(quay), "notify")[0]?.zones).not.toContain("Net loft deluge");
    expect(all(stepsOf(sprinkled), "notify")[0]?.zones).toContain("Net loft deluge");
    expect(all(stepsOf(sprinkled), "tell")[0]?.names).toContain("Net loft deluge");
    expect(prove(planOf(sprinkled), sprinkled)).toMatchObject({ harms: [], differences: [] });
  });

  it("a job of before tells as it began", () => {
    expect(all(stepsOf({ ...sprinkled, rules: 3 }), "notify")[0]?.zones).not.toContain("Net loft deluge");
  });
});

describe("what lies behind", () => {
  it("a cock that is turned puts out what burns behind it: each is named before it is agreed", () => {
    const cock = jobAt("RW-G21", "pell-ropewalk-20", "ropewalk-gas");
    const second = onLine(cock, (line) => {
      const home = line.nodes.find(({ id }) => id === "b21")!;
      return {
        ...line,
        nodes: [...line.nodes, { ...home, id: "b21a", name: "Boiler, 21 upstairs" }],
        links: [
          ...line.links,
          { kind: "pipe" as const, id: "p-b21a", from: "a21", to: "b21a", dn_mm: 20, length_m: 8 },
        ],
      };
    });
    const names = (inputs: JobInputs) =>
      dangers(stepsOf(inputs), "goes-out-behind").flatMap(({ danger }) =>
        danger.kind === "goes-out-behind" ? [...danger.names].sort() : [],
      );
    expect(names(cock)).toEqual(["Boiler, 21", "Cooker, 21"]);
    expect(names(second)).toEqual(["Boiler, 21", "Boiler, 21 upstairs", "Cooker, 21"]);
  });

  it("a stop behind somebody's door: said before the trip, when it is shut and when it is opened", () => {
    const steps = stepsOf(jobAt("HL-V2", "lantern-parlour-1", "holm-library"));
    expect(dangers(steps, "behind-a-door").map(({ at }) => at)).toEqual([
      "prepare:permits",
      "shut:HL-M2",
      "open:HL-M2",
    ]);
  });

  it("relief valves on one header: the others are named where the outlet is opened", () => {
    const steps = stepsOf(jobAt("GN-RV4A", "pell-guardian-t2", "gannet-low-side"));
    const header = { header: "Low side vent header", others: ["Relief GN-RV4B", "Relief GN-RV6"] };
    const told = dangers(steps, "shared-header");
    expect(told.map(({ danger }) => danger)).toEqual(Array(3).fill({ kind: "shared-header", ...header }));
    expect(told.map(({ at }) => at)).toEqual([
      "strip:outlet-bolts",
      "blank:outlet-gasket",
      "blank-out:outlet-gasket",
    ]);
  });

  it("relief valves on one header: it is blanked while it stands open, and free again before it is closed", () => {
    const ids = stepsOf(jobAt("GN-RV4A", "pell-guardian-t2", "gannet-low-side")).map(({ id }) => id);
    const at = (id: string) => ids.indexOf(id);
    expect(at("blank:outlet-gasket")).toBe(at("strip:outlet-gasket") + 1);
    expect(at("blank-out:outlet-gasket")).toBe(at("fit:outlet-gasket") - 1);
    // Alone on its vent, on the bench, or without a line there is nothing to blank.
    for (const more of [{ where: "bench" as const }, {}])
      expect(
        stepsOf(
          jobAt(
            "GN-RV4A",
            "pell-guardian-t2",
            more.where === undefined ? undefined : "gannet-low-side",
            more,
          ),
        ).filter(({ kind }) => kind === "blank"),
      ).toEqual([]);
  });

  it("what only follows a release is left out where nothing was let out", () => {
    const coil = jobAt("LY-S1h", "harrow-pickle-15", "laundry-supply");
    const hose = (steps: readonly Step[]) =>
      steps.filter(({ kind, id }) => kind === "ready" && id.endsWith("hose"));
    expect(hose(stepsOf(coil))).toEqual([]);
    expect(hose(stepsOf({ ...coil, reach: ["diaphragm"] }))).toHaveLength(1);
  });

  it("what lies higher than a valve without a drain is said where it comes out", () => {
    const released = (tag: string) =>
      stepsOf(jobAt(tag, "sedgeway-furrow-25", "marram-beds")).flatMap((step) =>
        step.kind === "release" ? [step.runs_L] : [],
      );
    // 46 m of 32 mm pipe rise to the nursery beds; 28 m fall to the pond edge and stay full.
    const nursery = (Math.PI / 4) * 0.32 ** 2 * 460;
    for (const tag of ["MG-D2", "MG-D3"]) {
      expect(released(tag)[0]).toBeGreaterThan(nursery);
      expect(released(tag)[0]).toBeLessThan(nursery + 1);
    }
    // 34 m rise by 0.4 m.
    expect(released("MG-D1")[0]).toBeCloseTo((Math.PI / 4) * 0.25 ** 2 * 344, 0);
    expect(released("MG-D4")).toEqual([undefined]);
  });

  it("steam warms what lies behind the valve that lets it in", () => {
    const steps = stepsOf(jobAt("LD-T11", "lantern-bucket-20", "lido-steam"));
    const opened = all(steps, "open");
    expect(opened.filter(({ warm_min }) => warm_min !== undefined).length).toBeGreaterThan(0);
    expect(opened.at(0)?.warm_min).toBeUndefined();
  });
});

describe("a pump that would run against what is shut", () => {
  const mixer = jobAt("LD-M1", "ottermouth-spoolmix-25", "lido-water");

  it("is stopped before anything is shut, and started when all stands open", () => {
    const plan = planOf(mixer);
    const { steps } = plan;
    const stop = steps.findIndex((step) => step.kind === "stop-pump" && step.link === "LD-RP");
    const start = steps.findIndex((step) => step.kind === "start-pump" && step.link === "LD-RP");
    expect(steps[stop]).toMatchObject({ why: { kind: "would-run-against" } });
    expect(stop).toBeLessThan(steps.findIndex(({ kind }) => kind === "shut"));
    expect(start).toBeGreaterThan(steps.findLastIndex(({ kind }) => kind === "open"));
    expect(prove(plan, mixer)).toMatchObject({ harms: [], differences: [] });
  });

  it("that nobody stops is found", () => {
    const plan = planOf(mixer);
    const steps = plan.steps.filter(({ kind }) => kind !== "stop-pump" && kind !== "start-pump");
    expect(prove({ ...plan, steps }, mixer).harms[0]).toMatchObject({
      harm: { kind: "runs-against", link: "LD-RP" },
    });
  });

  it("runs on in a job that was planned before this was looked at", () => {
    expect(stepsOf({ ...mixer, rules: 3 }).filter(({ kind }) => kind === "stop-pump")).toEqual([]);
  });
});

describe("a bypass that a job opened", () => {
  it("is kept open by it until it is shut again", () => {
    const walk = new Walk(jobAt("LD-IF1", "ottermouth-ironbrook-30", "lido-treatment"));
    walk.until(({ kind }) => kind === "gauge");
    expect([...walk.job.openRound.keys()]).toEqual(["LD-R3"]);
    expect([...walk.toEnd().job.openRound.keys()]).toEqual([]);
  });
});

describe("a bypass that another job keeps open", () => {
  const softener = jobAt("LD-SF1", "ottermouth-brook-20", "lido-treatment");
  const kept = [{ link: "LD-R6", job: "job-filter", valve: "LD-IF1", open: true as const }];

  it("is waited for where this one would shut it: who stays in service by it would go without", () => {
    expect(planOf(softener).isolation).toMatchObject({
      value: { closures: expect.arrayContaining([expect.objectContaining({ link: "LD-R6" })]) },
    });
    const steps = stepsOf({ ...softener, held: kept });
    expect(steps.find(({ kind }) => kind === "others")).toMatchObject({
      when: "shared",
      held: [{ link: "LD-R6", job: "job-filter" }],
    });
    expect(steps.findIndex(({ kind }) => kind === "others")).toBeLessThan(
      steps.findIndex(({ kind }) => kind === "shut"),
    );
  });

  it("shut all the same is found", () => {
    const alone = planOf(softener);
    const harms = prove(alone, { ...softener, held: kept }).harms.map(({ harm }) => harm.kind);
    expect(harms).toContain("anothers-lock");
  });
});
