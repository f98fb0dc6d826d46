import { describe, expect, it } from "vitest";
import { planForWork, planIsolation, shutForWork } from ".";
import { lineOf, node, valve } from "./isolation.fixtures";

/** A ward behind a main that forks: it keeps its water where the farther valve is shut. */
const ward = (more: object) =>
  lineOf(
    [node("feed", "source"), node("fork"), node("pump"), node("ward", "consumer", more)],
    [
      valve("V1", "feed", "fork"),
      valve("V2", "fork", "pump", { access_min: 30 }),
      valve("V3", "pump", "fork", { access_min: 30 }),
      valve("V4", "fork", "ward"),
    ],
  );
const links = (plan: ReturnType<typeof planForWork>) =>
  plan.ok ? plan.value.closures.map(({ link }) => link).sort() : plan.error.kind;

describe("what a job shuts", () => {
  it("is what is least to shut, where nobody has to be kept", () => {
    const line = ward({});
    expect(links(planForWork(line, { open: ["pump"] }))).toEqual(
      links(planIsolation(line, { open: ["pump"] })),
    );
    expect(links(planForWork(line, { open: ["pump"] }))).toEqual(["V1"]);
  });

  it("is more, where somebody must not be without, and says for whom", () => {
    const { demand, plan } = shutForWork(ward({ mustKeep: "Dialysis" }), { open: ["pump"] });
    expect(links(plan)).toEqual(["V2", "V3"]);
    expect(demand.keep).toEqual(["ward"]);
  });

  it("empties the vessel of an only relief valve first", () => {
    const line = lineOf(
      [node("feed", "source", { pressure_bar: 8 }), node("drum", "vessel"), node("only", "relief")],
      [valve("VF", "feed", "drum"), valve("VR", "drum", "only")],
    );
    const { demand, plan } = shutForWork(line, { open: ["only"] });
    expect(plan.ok).toBe(true);
    expect(demand.pumpedOut).toEqual(["drum"]);
  });
});
