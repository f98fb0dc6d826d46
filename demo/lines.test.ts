import { readdirSync } from "node:fs";
import { describe, expect, it } from "vitest";
import type { Line } from "@/core/formats";
import { type IsolationPlan, planIsolation } from "@/core/isolation";
import { demoDocument } from "@/core/job/job.fixtures";
import { checkLine, fed, network, standing } from "@/core/line";
import { isolationMessage, speaker } from "@/words";

const lines = readdirSync(new URL("lines", import.meta.url)).map((name) =>
  demoDocument<Line>(`lines/${name}`),
);
const named = (id: string) => lines.find((line) => line.id === id)!;
const plan = (line: string, open: string, more = {}): IsolationPlan => {
  const made = planIsolation(named(line), { open: [open], ...more });
  if (!made.ok) throw new Error(isolationMessage(speaker(), made.error));
  return made.value;
};
const acts = (made: IsolationPlan) => made.shutting.map((act) => `${act.kind} ${act.id}`);
const refusal = (line: string, open: string) => {
  const made = planIsolation(named(line), { open: [open] });
  return made.ok ? "" : isolationMessage(speaker(), made.error);
};

it.each(lines.map((line) => [line.id, line] as const))(
  "%s is sound, placed, and fed on an ordinary day",
  (_id, line) => {
    expect(checkLine(line)).toEqual([]);
    expect(line.demonstration || line.id === "north-quay").toBe(true);
    for (const node of line.nodes) expect(node.at, node.id).toBeDefined();
    const net = network(standing(line, new Map()));
    const live = fed(net, new Set());
    const unfed = net.nodes.filter((node, index) => node.kind === "consumer" && !live[index]);
    expect(unfed.map((node) => node.id)).toEqual([]);
  },
);

describe("every piece of equipment", () => {
  const equipment = lines.flatMap((line) =>
    line.nodes.flatMap((node) => (node.asset === undefined ? [] : [[line.id, node.id] as const])),
  );
  it.each(equipment)(
    "%s %s has a plan that leaves it with no energy, or says what to pump out",
    (line, place) => {
      const first = planIsolation(named(line), { open: [place] });
      const vessels = first.ok
        ? []
        : first.error.kind === "no-isolation" && first.error.pumpOut
          ? [first.error.pumpOut.id]
          : first.error.kind === "unprotected"
            ? first.error.vessels.map((each) => each.id)
            : [];
      const made = first.ok ? first.value : plan(line, place, { pumpedOut: vessels });
      const opened = made.restoring.filter((act) => act.kind !== "shut-bleed" && act.kind !== "shut-drain");
      for (const act of made.closures) expect(opened.map((each) => each.id)).toContain(act.link);
      expect(made.prove.length).toBeGreaterThan(0);
    },
  );
});

describe("what a foreman would expect", () => {
  it("ammonia: liquid, hot gas, suction; the passing stop of cooler 2 is left for three others", () => {
    expect(acts(plan("gannet-low-side", "GN-HRV1"))).toEqual(["shut GN-L2", "shut GN-H1", "shut GN-G1"]);
    const second = plan("gannet-low-side", "GN-HRV2");
    expect(second.closures.map((each) => each.link)).not.toContain("GN-L5");
    expect(
      second.closures.some((each) =>
        each.why.insteadOf.some(({ link, unfit }) => link === "GN-L5" && unfit === "passes"),
      ),
    ).toBe(true);
  });

  it("twin relief: the stem is turned, or looked at and locked where it stands; the oil pot's only one wants the pot pumped out", () => {
    expect(acts(plan("gannet-low-side", "GN-RV4B"))).toEqual(["hold-stem GN-RS4"]);
    expect(acts(plan("gannet-low-side", "GN-RV4A"))).toEqual(["turn GN-RS4"]);
    expect(refusal("gannet-low-side", "GN-RV6")).toContain("when Oil pot is pumped out first");
    const pumped = plan("gannet-low-side", "GN-RV6", { pumpedOut: ["OP"] });
    expect(pumped.closures.map((each) => each.link).sort()).toEqual(["GN-O1", "GN-O2"]);
    expect(pumped.pumpedOut).toEqual([{ node: "OP", name: "Oil pot" }]);
  });

  it("CO2: two barriers every way, each pair with its bleed, and the charge line locked though it stands shut", () => {
    const made = plan("gannet-co2", "GC-SV2");
    expect(
      made.closures
        .filter((each) => each.barrier === "inner")
        .map((each) => each.link)
        .sort(),
    ).toEqual(["GC-F2", "GC-V2", "GC-V3", "GC-V7"]);
    expect(made.bleeds.map((bleed) => bleed.node).sort()).toEqual(["BD1", "BD2", "BD3", "BD5"]);
    expect(made.restoring.find((act) => act.id === "GC-F2")?.kind).toBe("leave-shut");
  });

  it("steam: trap T11 needs both sides doubled; the press feed has one valve, so its second barrier is the header", () => {
    const made = plan("lido-steam", "LD-T11");
    expect(made.bleeds.map((bleed) => bleed.node).sort()).toEqual(["B4", "B5"]);
    const order = made.restoring.filter((act) => act.kind === "open").map((act) => act.id);
    expect(order.findIndex((id) => id.startsWith("LD-S"))).toBeGreaterThan(
      order.findLastIndex((id) => id.startsWith("LD-C")),
    );
    const press = plan("lido-steam", "LYF");
    expect(press.closures.filter((each) => each.barrier === "inner").map((each) => each.link)).toEqual([
      "LD-S9",
    ]);
    expect(press.lost.map((each) => each.name)).toContain("Calorifier coil");
  });

  it("mixing valve: return pump, plug out, hot, mixed, cold; the passing hot valve is not counted on", () => {
    const made = plan("lido-water", "LD-M1");
    expect(acts(made).slice(0, 2)).toEqual(["stop-pump LD-RP", "switch-off LD-Q1"]);
    expect(made.closures.map((each) => each.link)).not.toContain("LD-W13");
    expect(made.closures.at(-1)?.stream).not.toBe("hot");
    expect(made.lost.map(({ name, left }) => [name, left])).toEqual([
      ["Showers, pool side", undefined],
      ["Showers, gym", "cold"],
    ]);
  });

  it("softener: the seized outlet is got round by the bypass, locked shut and left shut", () => {
    const made = plan("lido-treatment", "LD-SF1");
    expect(made.restoring.find((act) => act.id === "LD-R6")?.kind).toBe("leave-shut");
    expect(made.lost.map((each) => each.name)).toContain("Calorifiers and pool");
    expect(made.bypasses).toEqual([]);
  });

  it("vapour radiators have no stop of their own: a whole section goes cold", () => {
    expect(plan("holm-library", "HL-V3").lost.length).toBe(3);
  });

  it("garden: pits are confined spaces, the hill tank feeds back, the panel is locked", () => {
    const made = plan("marram-gardens", "MG-A2");
    expect(made.closures.map((each) => each.link).sort()).toEqual(["MG-V1", "MG-V9"]);
    expect(made.permits).toContain("confined");
    expect(acts(plan("marram-gardens", "MG-P1"))[0]).toBe("switch-off MG-Q1");
  });

  it("booster: the pump stops first and starts last; springs and charged drives are named", () => {
    const made = plan("skerry-booster", "SK-C1");
    expect(acts(made).slice(0, 2)).toEqual(["stop-pump SK-P1", "switch-off SK-Q1"]);
    expect(made.restoring.at(-1)).toMatchObject({ kind: "start-pump", id: "SK-P1" });
    expect(made.stored.map((each) => each.kind).sort()).toEqual(["capacitor", "spring"]);
    expect(plan("skerry-booster", "SK-C3").pumps).toHaveLength(3);
  });

  it("gas: one house at its meter cock; the cock itself takes the kerb valve and all three houses", () => {
    expect(acts(plan("ropewalk-gas", "RW-M19"))).toEqual(["shut RW-G19"]);
    const cock = plan("ropewalk-gas", "RW-G19");
    expect(acts(cock)).toEqual(["shut RW-K1"]);
    expect(cock.lost).toHaveLength(6);
    expect(cock.permits).toEqual(["gas"]);
  });

  it("pre-action: water goes before the air that holds the valve, and comes back after it", () => {
    const made = plan("ferry-shed", "FS-PN1");
    expect(acts(made)).toEqual(["switch-off FS-Q1", "shut FS-V1", "shut FS-T1", "shut FS-T7"]);
    const back = made.restoring.map((act) => act.id);
    expect(back.indexOf("FS-T7")).toBeLessThan(back.indexOf("FS-T1"));
    expect(back.indexOf("FS-T7")).toBeLessThan(back.indexOf("FS-V1"));
    expect(made.lost.find((each) => each.protects)?.name).toBe("Ferry shed sprinklers");
  });

  it("laundry: the seized cock of washer 2 costs its neighbours their hot water", () => {
    const made = plan("laundry-supply", "LY-S2h");
    expect(made.closures.map((each) => each.link)).toContain("LY-V2");
    expect(made.closures.map((each) => each.link)).not.toContain("LY-V2h");
  });
});
