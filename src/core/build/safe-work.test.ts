import { describe, expect, it } from "vitest";
import { notationOf } from "@/core/quantity";
import { barredWords, dangerWords, releaseCaution, speaker, stuckWords } from "@/words";
import type { Sheet } from "../formats";
import { librarySheet } from "../job/job.fixtures";
import { dangersAt, forbiddenAt, releaseOf, stuckLadder, withSafeWork } from ".";
import { trialSheet, wet } from "./build.fixtures";

const sheet = (id: string) => librarySheet(id);
const safe = (id: string) => withSafeWork(sheet(id));
const wayOf = (each: Sheet, part: string) => each.parts.find((one) => one.id === part)!.ways[0]!;
const partOf = (each: Sheet, id: string) => each.parts.find((one) => one.id === id)!;
const barred = (each: Sheet, part: string) =>
  forbiddenAt(each, partOf(each, part), wayOf(each, part)).map((one) => barredWords(speaker(), one));
const tools = (each: Sheet, part: string) => barred(each, part).map((one) => one.tool);
const cautions = (each: Sheet, part: string, system: "metric" | "us" = "metric") =>
  dangersAt(each, partOf(each, part), wayOf(each, part))
    .map((danger) => dangerWords(speaker(notationOf(system)), danger))
    .map((one) => `${one.can} ${one.do}`)
    .join(" ");

describe("what a step must keep to", () => {
  it("bolts of a cover keep two in until it is cracked; a cover that one nut holds keeps none", () => {
    expect(wayOf(safe("brae-quaywall-4"), "gland-bolts").stayUntilCracked).toBe(2);
    expect(wayOf(safe("pell-frostgate-32"), "bolts").stayUntilCracked).toBe(2);
    expect(wayOf(safe("ottermouth-brook-20"), "drive-screws").stayUntilCracked).toBeUndefined();
  });

  it.each([
    ["brae-quaywall-4", "stem-nut", "Pipe wrench", "soft brass"],
    ["brae-quaywall-4", "stem", "Pipe wrench", "a stem"],
    ["brae-quaywall-4", "stem-ring", "Steel pick", "a ring's groove"],
    ["brae-quaywall-4", "gland-plate", "Hammer", "brittle iron"],
    ["sedgeway-furrow-25", "bonnet-screws", "Power driver", "screws that clamp plastic"],
    ["lantern-bucket-20", "bolts", "Impact driver", "bolts that clamp brittle iron"],
    ["brae-swingout-3", "ball", "Steel scraper", "a sealing face"],
  ])("%s, %s: no %s on %s", (id, part, tool) => {
    expect(tools(safe(id), part)).toContain(tool);
  });

  it("says to support what is heavy before its last fastener, and to hoist what two cannot lift", () => {
    expect(cautions(safe("lantern-bucket-20"), "top")).not.toContain("weighs");
    expect(cautions(safe("sedgeway-ditchmaster-80"), "cover-bolts")).toContain("Support it first");
    const heavy = structuredClone(sheet("brae-skerrycheck-100"));
    heavy.parts.find((part) => part.id === "spool")!.weight_kg = 31;
    expect(cautions(withSafeWork(heavy), "spool-bolts")).toContain("hoist");
  });

  it("says to stand clear of a cover, and for what is never let out there, to tighten and prove anew", () => {
    expect(cautions(safe("brae-quaywall-4"), "gland-bolts")).toContain("Stand to the side");
    expect(cautions(safe("lantern-bucket-20"), "bolts")).toContain("never let it out here");
  });

  it("puts the valve where a part may come off: bonnet back-seated or open, ball bolts pulled with the ball shut", () => {
    expect(wayOf(safe("pell-frostgate-32"), "top").position?.before).toBe("back");
    expect(wayOf(safe("lantern-parlour-1"), "top").position?.before).toBe("open");
    expect(safe("brae-swingout-3").parts.find((part) => part.id === "set-a")!.fit?.position?.before).toBe(
      "shut",
    );
  });

  it("follows the facts, not the text: the same sheet on another medium", () => {
    const steam = structuredClone(sheet("sedgeway-cloud-50"));
    steam.isolation.medium = "steam";
    expect(cautions(withSafeWork(steam), "cover-bolts")).toContain("scalds");
  });

  it("keeps what the sheet says itself, once, and is the same when done again", () => {
    const once = safe("lantern-parlour-1");
    expect(tools(once, "ring-nut").filter((tool) => tool === "Pipe wrench")).toHaveLength(1);
    expect(barred(once, "ring-nut")[0]!.why).toContain("shears the spindle");
    expect(withSafeWork(once)).toBe(once);
  });
});

/** One part that holds another, as little of a sheet as the rules read. */
function pair(first: object, second: object = {}, more: Partial<Sheet> = {}): Sheet {
  const trial = trialSheet({
    first: [{ heldBy: [], minutes: 1 }],
    second: [{ heldBy: ["first"], minutes: 1 }],
  });
  Object.assign(trial.parts[0]!, first);
  Object.assign(trial.parts[1]!, second);
  return withSafeWork({ ...trial, ...more });
}
const RING = { shape: { kind: "ring", diameter_mm: 20, height_mm: 3 } };
const BOLTS = {
  fastener: { across_mm: 17 },
  shape: { kind: "screws", diameter_mm: 10, height_mm: 20 },
  quantity: 6,
};
const COVER = { name: "Top Cover", role: "cover" };

describe("each rule by itself", () => {
  it.each([
    ["plastic", { material: "plastic" }, ["Hammer", "Power driver"]],
    ["brittle iron", { material: "iron", brittle: true }, ["Hammer"]],
    ["brass", { material: "brass" }, ["Pipe wrench"]],
    ["bronze", { material: "bronze" }, ["Pipe wrench"]],
    ["steel", { material: "steel" }, []],
    [
      "a stem of brass",
      { material: "brass", shape: { kind: "stem", diameter_mm: 8, height_mm: 60 } },
      ["Pipe wrench"],
    ],
    [
      "a stem of steel",
      { material: "steel", shape: { kind: "stem", diameter_mm: 8, height_mm: 60 } },
      ["Pipe wrench"],
    ],
    [
      "a brass nut",
      { material: "brass", fastener: { across_mm: 17 } },
      ["Pipe wrench", "Adjustable spanner"],
    ],
    [
      "a plastic nut",
      { material: "plastic", fastener: { across_mm: 17 } },
      ["Hammer", "Power driver", "Adjustable spanner"],
    ],
    ["a rubber ring", { material: "nitrile", ...RING }, ["Steel pick"]],
    ["a steel ring", { material: "steel", ...RING }, []],
    ["a seat", { shape: { kind: "seat", diameter_mm: 20, height_mm: 3 } }, ["Steel scraper"]],
    [
      "a rubber washer",
      { material: "epdm", shape: { kind: "washer", diameter_mm: 20, height_mm: 3 } },
      ["Steel pick", "Steel scraper"],
    ],
  ])("%s", (_, part, forbidden) => {
    // Nothing that it holds is soft or brittle.
    expect(tools(pair({ shape: { kind: "body", diameter_mm: 20, height_mm: 9 }, ...part }), "first")).toEqual(
      forbidden,
    );
  });

  it("what clamps plastic is neither driven nor struck; what clamps brittle iron is not struck", () => {
    expect(tools(pair(BOLTS, { material: "plastic" }), "first")).toEqual(["Impact driver", "Power driver"]);
    expect(tools(pair(BOLTS, { brittle: true }), "first")).toEqual(["Impact driver"]);
    expect(tools(pair(BOLTS, {}), "first")).toEqual([]);
    const plate = { shape: { kind: "body", diameter_mm: 20, height_mm: 9 } };
    expect(tools(pair(plate, { material: "plastic" }), "first"), "no fastener").toEqual([]);
  });

  it("bolts of a cover: stand aside, and two stay in where there are more than two", () => {
    for (const role of ["cover", "bonnet"]) {
      const covered = pair(BOLTS, { ...COVER, role });
      expect(wayOf(covered, "first").stayUntilCracked, role).toBe(2);
      expect(cautions(covered, "first"), role).toContain("face away from the top cover");
    }
    expect(wayOf(pair({ ...BOLTS, quantity: 2 }, COVER), "first").stayUntilCracked).toBeUndefined();
    expect(wayOf(pair(BOLTS, { name: "Plate" }), "first").stayUntilCracked).toBeUndefined();
    expect(cautions(pair(BOLTS, { name: "Plate" }), "first")).toBe("");
    expect(cautions(pair({}, COVER), "first"), "no fastener").toBe("");
  });

  it("the sheet's own count of bolts that stay goes first", () => {
    const trial = trialSheet({
      first: [{ heldBy: [], minutes: 1 }],
      second: [{ heldBy: ["first"], minutes: 1 }],
    });
    Object.assign(trial.parts[0]!, BOLTS);
    Object.assign(trial.parts[1]!, COVER);
    trial.parts[0]!.ways[0]!.stayUntilCracked = 4;
    expect(wayOf(withSafeWork(trial), "first").stayUntilCracked).toBe(4);
  });

  it.each([
    [7.9, undefined],
    [8, "Support it first"],
    [24.9, "Support it first"],
    [25, "hoist"],
  ])("%d kg under its fastener: %s", (weight_kg, says) => {
    const under = cautions(pair(BOLTS, { name: "Spool", weight_kg }), "first");
    const itself = cautions(pair({ name: "Spool", weight_kg }), "first");
    for (const said of [under, itself])
      if (says === undefined) expect(said).not.toContain("weighs");
      else expect(said).toContain(says);
  });

  it("says weights and what comes out in the reader's units", () => {
    const heavy = {
      ...trialSheet({ a: [{ heldBy: [], minutes: 1 }] }),
      isolation: { ...wet.isolation, medium: "co2" },
    } as Sheet;
    Object.assign(heavy.parts[0]!, { name: "Spool", weight_kg: 31 });
    const said = (system: "metric" | "us") => cautions(heavy, "a", system);
    expect(said("metric")).toContain("The spool weighs 31 kg and drops when the last one is out.");
    expect(said("us")).toContain("The spool weighs 68.3 lb and drops when the last one is out.");
    expect(releaseCaution(speaker(), "co2").can).toContain("Below 5.2 bar a");
    expect(releaseCaution(speaker(notationOf("us")), "co2").can).toContain("Below 75.4 psi a");
    expect(releaseCaution(speaker(notationOf("us")), "co2").do).toContain("above 102 psi g");
    expect(releaseCaution(speaker(notationOf("us")), "condensate").do).toContain("below 113 °F");
  });

  it("a spring under load is held while the last thread lets go", () => {
    expect(cautions(pair({ loaded: "The spring jumps." }), "first")).toBe(
      "The spring jumps. Keep it held while the last thread lets go; stand clear of its line.",
    );
  });

  it.each(["water", "steam", "gas", "ammonia", "co2"] as const)("%s behind a cover", (medium) => {
    const said = cautions(pair(BOLTS, COVER, { isolation: { ...wet.isolation, medium } }), "first");
    expect(said).toContain("What is left behind it can push it off.");
    expect(said.includes("never let it out here")).toBe(medium !== "water");
  });

  it("what stays in the line is left as the sheet has it", () => {
    expect(wayOf(pair({ ...BOLTS, stays: true }, COVER), "first").stayUntilCracked).toBeUndefined();
  });
});

describe("the ladder of letting pressure out", () => {
  const rungs: NonNullable<Sheet["release"]> = [
    { rung: "cover", do: "Crack the cover." },
    { rung: "fitting", do: "Crack the fitting." },
  ];
  it("takes the gentlest rung, whatever the order they are written in", () => {
    expect(releaseOf({ ...wet, release: rungs })).toMatchObject({ rung: { rung: "fitting" } });
    expect(releaseOf({ ...wet, release: [...rungs, { rung: "port", do: "Open the port." }] })).toMatchObject({
      rung: { rung: "port" },
    });
  });

  it.each(["steam", "gas", "ammonia", "co2"] as const)("is barred at the cover for %s", (medium) => {
    const only = { ...wet, isolation: { ...wet.isolation, medium }, release: rungs.slice(0, 1) };
    expect(releaseOf(only)).toEqual({ kind: "barred", medium });
  });

  it("is not asked of a sheet that has none", () => {
    expect(releaseOf(wet)).toBeUndefined();
  });
});

describe("the ladder for what will not move", () => {
  const ladder = (id: string, part: string) => {
    const each = sheet(id);
    return stuckLadder(partOf(each, part), each);
  };
  it("ends where the material says stop", () => {
    expect(ladder("brae-quaywall-4", "gland-plate").at(-1)).toMatchObject({ rung: "shock", stop: true });
    expect(ladder("pell-ropewalk-20", "port-a").at(-1)).toMatchObject({ rung: "heat", stop: true });
    expect(ladder("lantern-bucket-20", "hinge-screws").at(-1)).toMatchObject({ rung: "cut", stop: true });
    expect(ladder("sedgeway-ditchmaster-80", "cover-bolts").at(-1)).toMatchObject({
      rung: "cut",
      stop: false,
    });
  });

  it("puts no oil on rubber and no flame near a seal", () => {
    const says = (part: string, rung: "oil" | "heat") =>
      stuckWords(speaker(), ladder("brae-quaywall-4", part).find((each) => each.rung === rung)!).do;
    expect(says("stem-ring", "oil")).toContain("No oil");
    expect(says("stem-nut", "heat")).toContain("Hot water only, under 80 °C");
  });
});
