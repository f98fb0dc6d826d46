import { describe, expect, it } from "vitest";
import { stuckLadder } from "@/core/build";
import { calculatorNamed } from "@/core/calculators";
import { all } from "./practice/all.fixtures";
import { testedIn } from "./practice/shown.fixtures";

const { wetBarrel, assist, checkValve, airValve, regulating, co2Stop, relief, shuttle, spool } = all;
const { apparatus, pit, pilot, meterCock, softener, trap, radiator, dryBarrel, preAction, treatment } = all;

interface School {
  readonly id: string;
  readonly about: string;
  /** What one school does, where it is the rule. */
  readonly one: () => void;
  readonly other: () => void;
}

const school = (id: string, about: string, one: () => void, other: () => void): School => ({
  id,
  about,
  one,
  other,
});

const rules = (on: (typeof all)["wetBarrel"], part: string, symptom?: string, answers = {}) =>
  on.card("fit", part, symptom, answers).rules.map(({ kind }) => kind);

/** Where practitioners disagree, each school is the rule of some family, and the sheet says why. */
const SCHOOLS: readonly School[] = [
  school(
    "D-01",
    "Reuse what is sound, or renew the set",
    () =>
      expect(softener.sheet.renewal).toMatchObject({
        usual: "on-condition",
        why: expect.stringMatching(/outlive/),
      }),
    () =>
      expect(pit.sheet.renewal).toMatchObject({
        usual: "what-was-disturbed",
        why: expect.stringMatching(/half-old/),
      }),
  ),
  school(
    "D-02",
    "The small kit or the large one",
    () => expect(apparatus.sheet.depths?.[0]).toMatchObject({ kind: "repair" }),
    () =>
      expect(apparatus.sheet.depths?.[0]?.comesBack.map(({ when }) => when)).toEqual(
        expect.arrayContaining(["runs", "hard-access"]),
      ),
  ),
  school(
    "D-03",
    "Seats dry, or a film under and over",
    () => expect(rules(apparatus, "seat-out")).toContain("stays-dry"),
    () => expect(rules(assist, "ball-seat")).toContain("lubricate"),
  ),
  school(
    "D-04",
    "Rings greased, or dry because they brake",
    () =>
      expect(
        rules(dryBarrel, "seat-rings", "due", { "seat-face": "cut", "seat-ring-look": "nicked" }),
      ).toContain("lubricate"),
    () =>
      expect(rules(wetBarrel, "friction-ring", "weeps", { "disc-face": "catches" })).toContain("stays-dry"),
  ),
  school(
    "D-05",
    "Silicone, or never silicone",
    () => expect(spool.sheet.supplies.map(({ base }) => base)).toContain("silicone"),
    () => expect(wetBarrel.sheet.supplies.map(({ base }) => base)).not.toContain("silicone"),
  ),
  school(
    "D-06",
    "Made to stay, or made to come off",
    () => expect(wetBarrel.part("nozzle-screw").fit?.joint).toEqual(["lock"]),
    () => {
      expect(trap.part("bolts").fit?.joint).toEqual(["release"]);
      testedIn("src/core/build/check-sheet.test.ts", "the thread has to release");
    },
  ),
  school(
    "D-07",
    "Sealant to tightness, or sparingly",
    () => expect(pilot.card("fit", "selector", "due").end).toMatchObject({ kind: "angle" }),
    () =>
      expect(relief.part("valve").fit?.thread).toMatchObject({
        kind: "sealant",
        why: expect.stringMatching(/Sparingly/),
      }),
  ),
  school(
    "D-08",
    "A figure never exceeded, or a named feel",
    () => expect(co2Stop.card("tighten", "bolts", "open").limit_Nm).toBe(60),
    () => expect(wetBarrel.part("cap").fit?.end.kind).toBe("hand-tight"),
  ),
  school(
    "D-09",
    "A set screw to contact and back, or only flush",
    () => expect(wetBarrel.card("fit", "nozzle-screw").end.kind).toBe("touch-and-back-off"),
    () => expect(assist.card("fit", "outlet-set").end.kind).toBe("flush"),
  ),
  school(
    "D-10",
    "Shock, or oil and patience",
    () => expect(trap.card("task", "shock").lines).toHaveLength(7),
    () =>
      expect(
        stuckLadder(radiator.sheet.parts.find(({ ways }) => ways.length > 0)!, radiator.sheet)[0]?.rung,
      ).toBe("pull"),
  ),
  school(
    "D-11",
    "A pipe wrench here, never there",
    () => expect(dryBarrel.card("strip", "cap-screw").forbidden).toEqual([]),
    () =>
      expect(meterCock.card("strip", "port-a").forbidden).toContainEqual(
        expect.objectContaining({ tool: "Pipe wrench" }),
      ),
  ),
  school(
    "D-12",
    "A stand-in allowed, or the exact size",
    () =>
      expect(apparatus.card("strip", "set-a").tools[0]?.substitutes?.[0]?.allowedWhen).toMatch(/sound flats/),
    () =>
      expect(
        wetBarrel.card("tools").bring.find(({ id }) => id === "hex-5")?.substitutes?.[0]?.allowedWhen,
      ).toMatch(/^never/),
  ),
  school(
    "D-13",
    "Pressure out by the cover, or only by a port",
    () => expect(airValve.sheet.release?.map(({ rung }) => rung)).toEqual(["port", "cover"]),
    () => {
      expect(trap.sheet.release?.map(({ rung }) => rung)).not.toContain("cover");
      testedIn("src/core/build/ladders.test.ts", "only the cover is left");
    },
  ),
  school(
    "D-14",
    "Work with pressure behind it, or never",
    () => regulating.inOrder(["ask:strip:gland-nut", "strip:gland-nut"], "gland"),
    () =>
      expect(co2Stop.part("gland-nut").ways.every(({ underPressure }) => underPressure === undefined)).toBe(
        true,
      ),
  ),
  school(
    "D-15",
    "Open, shut or back-seated as it is closed",
    () => expect(co2Stop.card("strip", "gland-nut", "open").stands?.before).toBe("Back-seated"),
    () => apparatus.inOrder(["fit:set-a", "check:shut-again", "tighten:set-a"]),
  ),
  school(
    "D-16",
    "Whole-face rubber, or a ring inside the bolts",
    () => expect(checkValve.part("spool-gaskets").fit?.why).toMatch(/Full-face/),
    () => expect(checkValve.sheet.kits.find(({ id }) => id === "B-SC100-F")?.note).toMatch(/bend the rim/),
  ),
  school(
    "D-17",
    "All loose first, or one sub-assembly finished",
    () => checkValve.inOrder(["fit:rods", "fit:spool-bolts", "tighten:spool-bolts", "tighten:rods"]),
    () =>
      expect(preAction.card("fit", "spring", "due").assembly).toMatchObject({ name: "Upper half", of: 6 }),
  ),
  school(
    "D-18",
    "By memory, or by mark and picture",
    () => expect(softener.sheet.capture.some(({ photo }) => photo !== true)).toBe(true),
    () => expect(apparatus.card("mark", "handle").photo).toBe(true),
  ),
  school(
    "D-19",
    "Acid with an end, or a cloth and soap",
    () => expect(shuttle.card("soak", "descale", "due", { dirt: "film" }).most_min).toBe(20),
    () => expect(shuttle.ids("due", { dirt: "clean" })).not.toContain("task:descale"),
  ),
  school(
    "D-20",
    "Paper on this face, nothing on that",
    () => expect(apparatus.answer("nail", "fine").says).toMatch(/400 grit/),
    () => expect(apparatus.check("seats").why).toMatch(/no paper, no emery/),
  ),
  school(
    "D-21",
    "On the bench, or in its line",
    () => expect(spool.cards("due", {}, { where: "bench" }).map(({ kind }) => kind)).toContain("away"),
    () => expect(spool.cards("due").map(({ kind }) => kind)).toContain("shut"),
  ),
  school(
    "D-22",
    "Proof at the end, or a reason for none",
    () => expect(wetBarrel.cards().findLastIndex(({ phase }) => phase === "test")).toBeGreaterThan(0),
    () => testedIn("src/core/job/away.test.ts", "says what its line still has to"),
  ),
  school(
    "D-23",
    "By the calendar, or by what is found",
    () => expect(relief.sheet.intervals[0]).toMatchObject({ every_months: 60, atOnceAfter: ["lifted"] }),
    () => expect(airValve.after("leaks", { "large-seat": "sand" }).shorter?.seals).toBe(24),
  ),
  school(
    "D-24",
    "A burst disc, or a flag",
    () => expect(relief.card("mark", "indicator").choices[0]).toMatch(/Burst disc/),
    () => expect(relief.answer("patrol", "lifted").makesDue).toBe("five"),
  ),
  school(
    "D-25",
    "Wires either way round, or not",
    () => expect(pit.sheet.connections.every(({ polarity }) => polarity === "free")).toBe(true),
    () => expect(spool.sheet.connections.every(({ polarity }) => polarity === "matters")).toBe(true),
  ),
];

describe("where practitioners disagree", () => {
  it.each(SCHOOLS.map((each) => [`${each.id} ${each.about}`, each] as const))("%s", (_, each) => {
    each.one();
    each.other();
  });

  it("each disagreement is there once", () =>
    expect(SCHOOLS.map(({ id }) => id)).toEqual(
      Array.from({ length: 25 }, (_, index) => `D-${`${index + 1}`.padStart(2, "0")}`),
    ));

  it("every family has a usual way of renewing, and says why", () => {
    for (const on of Object.values(all)) expect(on.sheet.renewal?.why, on.sheet.id).toBeDefined();
    expect(calculatorNamed("renew-or-reuse")).toBeDefined();
    expect(treatment.sheet.renewal?.usual).toBe("what-was-disturbed");
  });
});
