import { readdirSync } from "node:fs";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { checkSheet, planStrip, unsourced } from "../build";
import { readDocument, type Sheet } from "../formats";
import { librarySheet } from "../job/job.fixtures";
import {
  figuresOf,
  type Limits,
  lacking,
  mayLack,
  type OwnModel,
  ownSheet,
  renamePart,
  type SheetFigure,
  toleranceKey,
  withoutPart,
} from ".";

const SHEETS = readdirSync("library")
  .filter((name) => name.endsWith(".json"))
  .map((name) => [name.replace(".json", "")] as const);

type Answers = (figure: SheetFigure) => number | Limits | undefined;

/** What one who has the paper at hand says of every figure; each is another than the template's. */
function answered(template: Sheet, answers: Answers = () => undefined): Pick<OwnModel, "figures" | "words"> {
  const all = figuresOf(template);
  const figures = all.flatMap((figure) => {
    const given = figure.kind === "number" ? figure.value : answers(figure);
    return given === undefined ? [] : [[figure.key, given] as const];
  });
  const words = all.flatMap((figure) =>
    figure.kind === "words" ? [[figure.key, `mine: ${figure.says}`] as const] : [],
  );
  return { figures: Object.fromEntries(figures), words: Object.fromEntries(words) };
}
const plate = {
  title: "My own valve",
  maker: "Tidewater Works",
  model: "Slip 7",
  vouched: { by: "Ina Lund", source: "Tidewater paper 12, page 3" },
} as const;
const yearly = (figure: SheetFigure) => (figure.kind === "interval" ? 12 : undefined);
const made = (template: Sheet, lacks: readonly string[] = [], answers: Answers = yearly): Sheet => {
  const own = ownSheet(template, { ...plate, lacks, ...answered(lacking(template, lacks), answers) });
  if (!own.ok) throw new Error(JSON.stringify(own.error));
  return own.value;
};

describe("a sheet for a model of one's own", () => {
  it.each(SHEETS)(
    "from the family of %s: sound, readable, to be stripped, and without a figure of the template",
    (id) => {
      const template = librarySheet(id);
      const sheet = made(template);
      expect(checkSheet(sheet)).toEqual([]);
      const read = readDocument(JSON.parse(JSON.stringify(sheet)));
      expect(read.ok || read.error).toBe(true);
      expect(read.ok && read.value).toEqual(sheet);
      expect(sheet).toMatchObject({
        id: "tidewater-works-slip-7",
        demonstration: false,
        revision: 1,
        family: template.family,
      });
      for (const { reach } of sheet.symptoms) expect(planStrip(sheet, { reach }).ok).toBe(true);
      // Nothing that its maker had measured is left, and nothing stands without a source.
      expect(unsourced(sheet)).toEqual([]);
      const ends = sheet.parts.flatMap(({ fit }) => [fit?.end, ...Object.values(fit?.byBuild ?? {})]);
      for (const kind of ["torque", "angle", "seat-to-depth", "touch-and-back-off"] as const)
        expect(ends.some((end) => end?.kind === kind)).toBe(false);
      expect(sheet.checks.some(({ kind }) => kind === "measure")).toBe(false);
      expect(sheet.kits).toEqual([]);
      expect(
        sheet.intervals.every(
          ({ every_months, source }) => every_months === 12 && source === plate.vouched.source,
        ),
      ).toBe(true);
    },
  );

  it("what its paper says stands on it, with the paper as its source", () => {
    const template = librarySheet("brae-quaywall-4");
    const sheet = made(template, [], (figure) =>
      figure.kind === "torque"
        ? 33
        : figure.kind === "limits"
          ? { low: 2, high: 7 }
          : figure.kind === "interval"
            ? 6
            : undefined,
    );
    const bolts = sheet.parts.find(({ id }) => id === "gland-bolts")!.fit!.end;
    expect(bolts).toMatchObject({ kind: "torque", torque_Nm: 33, source: plate.vouched.source });
    expect(sheet.checks.find(({ id }) => id === "collar-thickness")).toMatchObject({
      kind: "measure",
      low: 2,
      high: 7,
      source: plate.vouched.source,
    });
    expect(sheet.intervals.map(({ every_months }) => every_months)).toEqual([6, 6]);
    expect(sheet.hazards[1]!.can).toBe("mine: The nozzle weighs about 9 kg and comes free at once.");
  });

  it("a depth counts with how exactly it is meant, and what its builds are called is said anew", () => {
    const template = librarySheet("ottermouth-brook-20");
    const end = (figures: OwnModel["figures"]) => {
      const all = answered(lacking(template, []), yearly);
      const own = ownSheet(template, {
        ...plate,
        lacks: [],
        ...all,
        figures: { ...all.figures, ...figures },
      });
      const ends = own.ok ? own.value.parts.map(({ fit }) => fit?.end) : [];
      return ends.find((each) => each?.kind === "seat-to-depth");
    };
    const key = figuresOf(template).find(({ kind }) => kind === "depth")!.key;
    expect(end({ [key]: 12 })).toBeUndefined();
    expect(end({ [key]: 12, [toleranceKey(key)]: 0.2 })).toMatchObject({ depth_mm: 12, tolerance_mm: 0.2 });
    const air = made(librarySheet("sedgeway-cloud-50"));
    expect(air.builds.map(({ name }) => name)).toEqual(["mine: Cloud 50", "mine: Cloud 50 H, for 25 bar"]);
  });

  it("what its paper does not say is asked for, or held against the paper on site", () => {
    const sheet = made(librarySheet("brae-quaywall-4"));
    expect(sheet.parts.find(({ id }) => id === "gland-bolts")!.fit!.end).toEqual({
      kind: "to-ask-for",
      whom: "Tidewater Works, for the Slip 7",
    });
    expect(sheet.checks.find(({ id }) => id === "static-pressure")).toMatchObject({
      kind: "choice",
      options: [
        { id: "within", means: "reuse" },
        { id: "below", means: "stop" },
        { id: "above", means: "stop" },
      ],
    });
  });

  it("is refused while a figure of the template was not looked at, a name is missing, or nothing ever rings", () => {
    const template = librarySheet("lantern-bucket-20");
    const whole = { ...plate, lacks: [], ...answered(template, yearly) };
    const refused = (own: OwnModel) => {
      const sheet = ownSheet(template, own);
      return sheet.ok ? [] : sheet.error.map(({ path }) => path);
    };
    expect(refused(whole)).toEqual([]);
    expect(refused({ ...whole, maker: " " })).toEqual(["/maker"]);
    expect(refused({ ...whole, words: { ...whole.words, M12: "" } })).toEqual(["M12"]);
    const { "/isolation/hold_min": _, ...figures } = whole.figures;
    expect(refused({ ...whole, figures })).toEqual(["/isolation/hold_min"]);
    expect(refused({ ...whole, ...answered(template) })).toEqual(["/intervals"]);
  });
});

describe("a part that a valve lacks", () => {
  it.each(SHEETS)(
    "%s: any that it may lack, and any two of them, leave a sheet that can be stripped",
    (id) => {
      const template = librarySheet(id);
      const may = mayLack(template);
      expect(may.length).toBeGreaterThan(0);
      fc.assert(
        fc.property(fc.subarray(may, { minLength: 1, maxLength: 2 }), (lacks) => {
          const left = lacking(template, lacks);
          expect(left.parts.some(({ id }) => lacks.includes(id))).toBe(false);
          // Two may leave too little of a sheet, and then its check says so: never a name that leads nowhere.
          const named = checkSheet(left).filter(({ message }) =>
            /There is no (part|check|task)/.test(message),
          );
          expect(named).toEqual([]);
          if (checkSheet(left).length === 0)
            for (const { reach } of left.symptoms) expect(planStrip(left, { reach }).ok).toBe(true);
        }),
        { numRuns: 12 },
      );
    },
  );

  it("what it was held by holds what it held", () => {
    const template = librarySheet("brae-quaywall-4");
    const disc = (sheet: Sheet) => {
      const plan = planStrip(sheet, { reach: ["disc"] });
      return plan.ok ? plan.value.moves.flatMap((move) => (move.kind === "remove" ? [move.part] : [])) : [];
    };
    const [, second] = disc(template);
    expect(disc(withoutPart(template, second!))).toEqual(disc(template).filter((part) => part !== second));
  });

  it("nothing that holds pressure or a spring in may be lacking", () => {
    for (const [id] of SHEETS) {
      const sheet = librarySheet(id);
      for (const part of mayLack(sheet)) {
        const { role, loaded, stays } = sheet.parts.find((each) => each.id === part)!;
        expect([role, loaded, stays]).toEqual([undefined, undefined, undefined]);
      }
    }
  });
});

describe("a part by another id", () => {
  it.each(SHEETS)("%s: each is named so everywhere, and back again it is the same sheet", (id) => {
    const sheet = librarySheet(id);
    for (const { id: part } of sheet.parts) {
      const renamed = renamePart(sheet, part, "another-name");
      expect(checkSheet(renamed)).toEqual([]);
      expect(renamePart(renamed, "another-name", part)).toEqual(sheet);
    }
  });
});
