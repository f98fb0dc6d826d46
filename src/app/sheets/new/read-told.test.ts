import { readdirSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { librarySheet } from "@/core/job/job.fixtures";
import { figuresOf, lacking } from "@/core/making";
import { UNITS } from "@/core/quantity";
import { measuredBy, readTold, type Told } from "./read-told";
import { whereItStands } from "./where-it-stands";

const hydrant = lacking(librarySheet("brae-quaywall-4"), []);
const told = (typed: Told["typed"], more: Partial<Told> = {}): Told => ({
  title: "T",
  maker: "M",
  model: "1",
  by: " Ina Lund ",
  source: "Leaflet 12",
  lacks: [],
  typed,
  words: {},
  read: true,
  ...more,
});

describe("what was told of a model", () => {
  it("is read in any unit, into the unit that the sheet keeps", () => {
    const { own, wrong } = readTold(
      hydrant,
      told({
        "end gland-bolts": "40 ft lb",
        "limits collar-thickness low": "1/4 in",
        "limits collar-thickness high": "9,5",
        "every disc": "6",
      }),
    );
    expect(wrong).toEqual({});
    expect(own.figures["end gland-bolts"]).toBeCloseTo(54.233, 3);
    expect(own.figures["limits collar-thickness"]).toEqual({ low: 6.35, high: 9.5 });
    expect(own.figures["every disc"]).toBe(6);
    expect(own.vouched).toEqual({ by: "Ina Lund", source: "Leaflet 12" });
  });

  it.each([
    ["end gland-bolts", "tight", /is not a figure/],
    ["end gland-bolts", "40 bar", /unit of/],
    ["end gland-bolts", "-4", /more than 0/],
    ["every disc", "0", /more than 0/],
  ])("%s as %s is refused at its field", (key, text, message) => {
    const { own, wrong } = readTold(hydrant, told({ [key]: text }));
    expect(wrong[key]).toMatch(message);
    expect(own.figures[key]).toBeUndefined();
  });

  it("a least that is no less than the most is refused", () => {
    const typed = { "limits collar-thickness low": "9", "limits collar-thickness high": "8" };
    expect(readTold(hydrant, told(typed)).wrong["limits collar-thickness high"]).toMatch(
      /more than the least/,
    );
  });

  it("words count once somebody says that they were read; then those that were left are as in the template", () => {
    const words = { M10: "M12" };
    expect(Object.values(readTold(hydrant, told({}, { words, read: false })).own.words).join("")).toBe("");
    const read = readTold(hydrant, told({}, { words })).own.words;
    expect(read).toMatchObject({ M10: "M12", M20: "M20" });
  });
});

describe("every family", () => {
  it.each(
    readdirSync("library")
      .filter((name) => name.endsWith(".json"))
      .map((name) => [name.replace(".json", "")] as const),
  )("%s: each figure is asked in a unit there is, and said where it stands", (id) => {
    const sheet = lacking(librarySheet(id), []);
    const said = new Map<string, string>();
    for (const figure of figuresOf(sheet)) {
      if (figure.kind !== "words") {
        const { dimension, unit } = measuredBy(figure);
        expect(
          UNITS.find((each) => each.id === unit && each.dimension === dimension),
          figure.key,
        ).toBeDefined();
      }
      if (figure.kind !== "words" && figure.kind !== "number") continue;
      const path = figure.kind === "words" ? figure.at : figure.key;
      const words = whereItStands(path, sheet);
      expect(words.length, path).toBeGreaterThan(3);
      // No field is called as a program calls it.
      expect(words, path).not.toMatch(/[a-z][A-Z]|_/);
      if (figure.kind === "number") expect(said.get(words), `${path} and ${said.get(words)}`).toBeUndefined();
      said.set(words, path);
    }
  });
});
