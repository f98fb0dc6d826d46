import { beforeEach, describe, expect, it } from "vitest";
import { keepResult, takeBack } from "./bench/keep-result";
import { demoServices } from "./demo.fixtures";
import type { Services } from "./services";

const NOW = Date.parse("2027-03-01T09:00:00Z");
let services: Services;
beforeEach(() => {
  services = demoServices(() => NOW);
});

const tam = { id: "tam", name: "Tam Arkle" };
const ask = {
  calculator: "hydrant-flow",
  inputs: { static: "65 psi", residual: "50 psi", pitot1: "20 psi", diameter1: "2.5 in" },
  output: "rated",
} as const;

describe("a result kept with a valve", () => {
  it("is worked out on the server, stands among its readings, and is taken back", () => {
    const before = services.library.readings("NQ-H07").length;
    const kept = keepResult(services, "NQ-H07", { ...ask, system: "us" }, tam);
    if (!kept.ok) throw new Error(JSON.stringify(kept.error));
    expect(kept.value).toMatchObject({
      what: "hydrant-flow-rated",
      label: "Hydrant flow: Rated flow",
      by: "Tam Arkle",
    });
    expect(kept.value.typed).toMatch(/^1.359 US gpm$/);
    expect(services.library.readings("NQ-H07")).toHaveLength(before + 1);
    expect(takeBack(services, "NQ-H02", kept.value.id)).toBe(false);
    expect(takeBack(services, "NQ-H07", kept.value.id)).toBe(true);
    expect(services.library.readings("NQ-H07")).toHaveLength(before);
  });

  it("twice in one millisecond are two readings", () => {
    const [first, second] = [
      keepResult(services, "NQ-H07", ask, tam),
      keepResult(services, "NQ-H07", ask, tam),
    ];
    expect(first.ok && second.ok && first.value.id !== second.value.id).toBe(true);
  });

  it("is refused with the path, and nothing is stored", () => {
    const before = services.library.readings("NQ-H07").length;
    const path = (more: object, tag = "NQ-H07") => {
      const kept = keepResult(services, tag, { ...ask, ...more }, tam);
      return kept.ok ? "" : kept.error.problems[0]?.path;
    };
    expect(path({}, "NONE")).toBe("");
    expect(path({ output: "class" })).toBe("/output");
    expect(path({ calculator: "none" })).toBe("/calculator");
    expect(path({ inputs: { residual: "70 psi" } })).toBe("/inputs/residual");
    expect(services.library.readings("NQ-H07")).toHaveLength(before);
  });

  it("nothing else is taken back: neither what was brought in nor what a job measured", () => {
    const history = services.library.readings("NQ-H07");
    expect(history.length).toBeGreaterThan(5);
    const kept = keepResult(services, "NQ-H07", ask, tam);
    if (!kept.ok) throw new Error("not kept");
    for (let id = 0; id < kept.value.id; id++) expect(takeBack(services, "NQ-H07", id)).toBe(false);
    const { what, dimension } = kept.value;
    services.library.saveReadings([
      { valve: "NQ-H07", at: NOW + 9, what, dimension, si: 1, typed: "1", by: "Tam", job: "j" },
    ]);
    expect(takeBack(services, "NQ-H07", kept.value.id + 1)).toBe(false);
    expect(takeBack(services, "NQ-H07", Number.NaN)).toBe(false);
    expect(takeBack(services, "NQ-H07", kept.value.id)).toBe(true);
    expect(services.library.readings("NQ-H07")).toHaveLength(history.length + 1);
  });
});
