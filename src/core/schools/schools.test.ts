import { readdirSync } from "node:fs";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { checkSheet, cutOf } from "../build";
import { type AnyWay, type ChosenWay, type Sheet, TOPICS, type Topic, WAYS } from "../formats";
import { librarySheet } from "../job/job.fixtures";
import { chooseWays, type Offer, schoolOffers, withWays } from ".";

const SHEETS = readdirSync("library")
  .filter((name) => name.endsWith(".json"))
  .map((name) => librarySheet(name.replace(".json", "")));

const wholly = (sheet: Sheet) => ({
  sheet,
  removed: sheet.parts.flatMap(({ id, stays }) => (stays === true ? [] : [id])),
});
const offersOf = (id: string, change: (sheet: Sheet) => void = () => {}): Offer[] => {
  const sheet = structuredClone(librarySheet(id));
  change(sheet);
  return schoolOffers(wholly(sheet));
};
const offer = (id: string, topic: Topic, change?: (sheet: Sheet) => void) =>
  offersOf(id, change).find((each) => each.topic === topic);
const way = (id: string, topic: Topic, name: AnyWay, change?: (sheet: Sheet) => void) =>
  offer(id, topic, change)?.ways.find((each) => each.way === name);
const part = (sheet: Sheet, id: string) => sheet.parts.find((each) => each.id === id)!;

const other = (topic: Topic, name: AnyWay, usual: AnyWay): ChosenWay => ({
  topic,
  way: name,
  usual,
  why: "House rule",
});

describe("the usual way, by rule", () => {
  it.each([
    ["quillon-harbour-5", "gasket", "full-face", { kind: "flat-and-brittle", part: "Bonnet" }],
    ["pell-guardian-t2", "gasket", "ring", { kind: "inside-the-bolts" }],
    ["pell-frostgate-32", "gasket", "ring", { kind: "in-a-recess" }],
    ["pell-frostgate-32", "threads", "dry", { kind: "stated-for-it" }],
    ["lantern-bucket-20", "freeing", "shock", { kind: "sheet" }],
    ["brae-skerrycheck-100", "threads", "anti-seize", { kind: "sheet", says: "It must come out again." }],
    ["ottermouth-brook-20", "cleaning", "acid", { kind: "sheet" }],
    ["sedgeway-cloud-50", "cleaning", "water", { kind: "sheet" }],
    ["harrow-pickle-15", "cleaning", "dry", { kind: "sheet" }],
    ["brae-quaywall-4", "lubricant", "food-grade", { kind: "sheet" }],
    ["brae-swingout-3", "lubricant", "silicone", { kind: "sheet" }],
  ] as const)("%s, %s: %s", (id, topic, usual, because) =>
    expect(offer(id, topic)).toMatchObject({ usual, because }),
  );

  it("oil where a shock breaks something, and where it costs minutes alone", () => {
    expect(offer("sedgeway-furrow-25", "freeing")).toMatchObject({
      usual: "oil",
      because: { kind: "shock-breaks" },
    });
    expect(offer("brae-skerrycheck-100", "freeing")).toMatchObject({
      usual: "oil",
      because: { kind: "breaks-nothing" },
    });
  });

  it("where a sheet works some so and some otherwise, most pieces decide, and it is said", () => {
    expect(offer("lantern-bucket-20", "threads")).toMatchObject({ usual: "anti-seize", mixed: true });
    expect(offer("brae-swingout-3", "lubricant")).toMatchObject({ usual: "silicone", mixed: false });
    const chosen = chooseWays(offersOf("lantern-bucket-20"));
    expect(chosen.ok && chosen.value).toContainEqual({
      topic: "threads",
      way: "anti-seize",
      usual: "anti-seize",
      mixed: true,
    });
  });

  it("does not arise where nothing of it comes off", () => {
    const sheet = librarySheet("brae-skerrycheck-100");
    expect(schoolOffers({ sheet, removed: [] })).toEqual([]);
    expect(schoolOffers({ sheet, removed: ["gaskets"] }).map(({ topic }) => topic)).toEqual(["gasket"]);
  });
});

describe("a way that must not be taken", () => {
  it("a ring inside strong bolts on flat iron; soft bolts do not bend it", () => {
    expect(way("quillon-harbour-5", "gasket", "ring")?.barred).toEqual({
      part: "Bonnet gasket",
      because: { kind: "bends-the-rim", part: "Bonnet" },
    });
    const soft = (sheet: Sheet) => {
      part(sheet, "bonnet-bolts").fastener!.grade = "4.6";
    };
    expect(way("quillon-harbour-5", "gasket", "ring", soft)?.barred?.because).toEqual({
      kind: "no-kit-cut-so",
    });
    const cut = (sheet: Sheet) => {
      soft(sheet);
      sheet.kits.push({
        id: "ring",
        name: "Ring",
        contents: [{ part: "bonnet-gasket", quantity: 1, cut: "ring" }],
        leftovers: [],
      });
    };
    expect(way("quillon-harbour-5", "gasket", "ring", cut)?.barred).toBeUndefined();
  });

  it("a full face in a recess", () =>
    expect(way("pell-frostgate-32", "gasket", "full-face")?.barred?.because.kind).toBe(
      "does-not-lie-in-a-recess",
    ));

  it("a shock: at what cracks, at soft heads, near what burns, without a hammer on the sheet", () => {
    const because = (id: string, change?: (sheet: Sheet) => void) =>
      way(id, "freeing", "shock", change)?.barred?.because.kind;
    const hammer = (sheet: Sheet) => void sheet.tools.push({ id: "h", name: "Hammer", class: "hammer" });
    expect(because("sedgeway-furrow-25", hammer)).toBe("cracks");
    expect(because("pell-guardian-t2", hammer)).toBe("burns-near");
    expect(because("brae-swingout-3")).toBe("not-on-its-sheet");
    const brass = (sheet: Sheet) => {
      hammer(sheet);
      for (const each of sheet.parts) if (each.fastener !== undefined) each.material = "brass";
    };
    expect(because("brae-swingout-3", brass)).toBe("deforms");
    expect(way("brae-skerrycheck-100", "freeing", "shock")?.barred).toBeUndefined();
  });

  it("a grease its sheet has not, one that swells the ring, one people would drink; none where it slides", () => {
    expect(way("brae-quaywall-4", "lubricant", "silicone")?.barred?.because.kind).toBe("not-on-its-sheet");
    expect(way("brae-quaywall-4", "lubricant", "none")?.barred?.because.kind).toBe("torn-dry");
    const swells = way("ottermouth-spoolmix-25", "lubricant", "silicone")?.keeps;
    expect(swells).toEqual([
      { part: "Lid ring", because: expect.objectContaining({ kind: "clash", base: "silicone" }) },
    ]);
    const unlisted = (sheet: Sheet) => {
      sheet.supplies.push({ id: "s", name: "Silicone grease", base: "silicone" });
    };
    expect(way("brae-quaywall-4", "lubricant", "silicone", unlisted)?.keeps).toContainEqual(
      expect.objectContaining({ because: { kind: "not-for-drinking-water" } }),
    );
  });

  it("paste on a thread that locks or seals, or where the sheet has none", () => {
    expect(way("brae-quaywall-4", "threads", "anti-seize")?.keeps).toContainEqual({
      part: "Stem-end nut",
      because: { kind: "must-lock" },
    });
    expect(way("quillon-watchair-1", "threads", "anti-seize")?.barred?.because.kind).toBe("not-on-its-sheet");
  });
});

/** Every choice a sheet leaves open, one way a topic. */
const anyChoice = (sheet: Sheet) =>
  fc.tuple(
    ...schoolOffers(wholly(sheet)).map(({ topic, usual, ways }) =>
      fc
        .constantFrom(...ways.flatMap((each) => (each.barred === undefined ? [each.way] : [])))
        .map(
          (chosen): ChosenWay =>
            chosen === usual ? { topic, way: chosen, usual } : other(topic, chosen, usual),
        ),
    ),
  );

describe("a thread that its sheet says nothing of", () => {
  const stated = (as: "oiled" | "anti-seize" | "dry") =>
    offer("pell-frostgate-32", "threads", (sheet) => {
      for (const { id, fit } of sheet.parts)
        if (id === "bolts" && fit?.end.kind === "torque") fit.end.stated = as;
    });
  it("goes by what its torque is stated for", () => {
    expect(stated("dry")).toMatchObject({ usual: "dry", about: expect.arrayContaining(["Top bolts"]) });
    expect(stated("anti-seize")).toMatchObject({ usual: "anti-seize" });
    // Oiled, it is neither of the two: it stays as it is.
    expect(stated("oiled")?.about ?? []).not.toContain("Top bolts");
  });
});

describe("whatever is chosen", () => {
  it("every sheet is sound by every choice it leaves open, and what must lock or seal is as it was", () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...SHEETS).chain((sheet) => fc.tuple(fc.constant(sheet), anyChoice(sheet))),
        ([sheet, chosen]) => {
          const worked = withWays(sheet, chosen);
          // A task whose acid stays at home is done otherwise.
          const cleansOtherwise = chosen.some(({ topic, why }) => topic === "cleaning" && why !== undefined);
          expect(
            checkSheet(worked).filter(({ path }) => !(cleansOtherwise && path.endsWith("/with"))),
          ).toEqual([]);
          for (const { id, fit } of sheet.parts)
            if (fit?.thread?.kind === "locker" || fit?.thread?.kind === "sealant")
              expect(part(worked, id).fit?.thread).toBe(fit.thread);
          expect(withWays(worked, chosen).parts).toEqual(worked.parts);
        },
      ),
      { numRuns: 300 },
    ));

  it("the usual way changes no part, task, kit or tool", () => {
    for (const sheet of SHEETS) {
      const usual = schoolOffers(wholly(sheet)).map(({ topic, usual: is }) => ({
        topic,
        way: is,
        usual: is,
      }));
      const { supplies, ...rest } = sheet;
      const { supplies: taken, ...worked } = withWays(sheet, usual);
      expect(worked).toEqual(rest);
      expect(supplies).toEqual(expect.arrayContaining(taken));
    }
  });

  it("a grease nobody uses stays at home; with it chosen the other does", () => {
    const sheet = librarySheet("brae-swingout-3");
    const bases = (...chosen: ChosenWay[]) => withWays(sheet, chosen).supplies.map(({ base }) => base);
    expect(bases()).not.toContain("food-grade");
    expect(bases(other("lubricant", "food-grade", "silicone"))).not.toContain("silicone");
  });

  it("a gasket cut otherwise has the other outside, and comes from the kit that is cut so", () => {
    const sheet = librarySheet("pell-guardian-t2");
    const worked = withWays(sheet, [other("gasket", "full-face", "ring")]);
    expect(cutOf(sheet, part(sheet, "outlet-gasket"))).toBe("ring");
    // Four M12 on 92 mm: it reaches a bolt beyond their circle.
    expect(part(worked, "outlet-gasket").shape.diameter_mm).toBe(104);
    expect(
      worked.kits.map(({ contents }) => contents.find((each) => each.part === "outlet-gasket")?.cut),
    ).toEqual(["ring", "ring", "full-face"]);
  });
});

describe("choosing", () => {
  const offers = offersOf("pell-guardian-t2");
  const refused = (...asked: Parameters<typeof chooseWays>[1] & object) => {
    const chosen = chooseWays(offers, asked);
    return chosen.ok ? undefined : chosen.error;
  };
  it("what is not asked for is done as usual", () =>
    expect(chooseWays(offers)).toEqual({
      ok: true,
      value: offers.map(({ topic, usual }) => ({ topic, way: usual, usual })),
    }));

  it("another way is kept with its reason", () => {
    const chosen = chooseWays(offers, [{ topic: "gasket", way: "full-face", why: " It hangs. " }]);
    expect(chosen.ok && chosen.value).toContainEqual({
      topic: "gasket",
      way: "full-face",
      usual: "ring",
      why: "It hangs.",
    });
  });

  it("is refused: what does not arise, what there is not, twice, what must not be, without a reason", () => {
    expect(refused({ topic: "cleaning", way: "dry" })).toMatchObject({ kind: "does-not-arise", at: 0 });
    expect(refused({ topic: "gasket", way: "oil", why: "?" })).toMatchObject({ kind: "no-such-way" });
    const full = { topic: "gasket", way: "full-face", why: "It hangs." } as const;
    expect(refused(full, full)).toMatchObject({ kind: "twice", at: 1 });
    expect(refused({ topic: "freeing", way: "shock", why: "Quick" })).toMatchObject({ kind: "barred" });
    expect(refused({ topic: "gasket", way: "full-face", why: "  " })).toMatchObject({ kind: "say-why" });
  });

  it("every topic has its ways", () => {
    for (const topic of TOPICS) expect(WAYS[topic].length).toBeGreaterThan(1);
  });
});
