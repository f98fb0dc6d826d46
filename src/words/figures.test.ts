import { readdirSync, readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import type { JobInputs } from "@/core/formats";
import { Walk } from "@/core/job/job.fixtures";
import { notationOf } from "@/core/quantity";
import { speaker } from ".";
import { cardTexts, jobOf, LINES, onLine, planTexts, SHEETS, textsOf } from "./whole-job.fixtures";

/** Figures are written as their reader writes them, wherever they stand. */

const [point, comma] = [speaker(notationOf("metric", "point")), speaker(notationOf("metric", "comma"))];
const FIGURE = /\d\.\d/;

/** What authors wrote into documents stays as they wrote it. */
const written = (inputs: JobInputs) =>
  [...new Set(textsOf(inputs))].filter((text) => FIGURE.test(text)).sort((a, b) => b.length - a.length);

const withPoints = (texts: readonly string[], inputs: JobInputs): string[] => {
  const authors = written(inputs);
  return texts.filter((text) =>
    FIGURE.test(authors.reduce((left, each) => left.replaceAll(each, " "), text)),
  );
};

describe("where a comma is read, no card writes a point", () => {
  it.each(SHEETS.map((sheet) => [sheet.id, sheet] as const))("%s", (_, sheet) => {
    const inputs = jobOf(sheet);
    const { plan } = new Walk(inputs).job;
    const say = (reader: typeof comma) => plan.steps.flatMap((step) => cardTexts(reader, step));
    expect(withPoints(say(comma), inputs)).toEqual([]);
    // And nothing else is said.
    expect(say(comma).map((text) => text.replace(/(\d),(?=\d)/g, "$1."))).toEqual(
      say(point).map((text) => text.replace(/(\d),(?=\d)/g, "$1.")),
    );
  });

  it.each(LINES)("on %s, %s", (id, node, sheet) => {
    const inputs = onLine(id, node, sheet);
    const { plan } = new Walk(inputs).job;
    expect(withPoints(planTexts(comma, plan), inputs)).toEqual([]);
  });

  it("and there is something to write", () => {
    const inputs = onLine(...LINES[2]!);
    expect(withPoints(planTexts(point, new Walk(inputs).job.plan), inputs).length).toBeGreaterThan(0);
  });
});

describe("screens", () => {
  const root = new URL("../..", import.meta.url).pathname;
  const files = ["src/app", "src/ui"].flatMap((folder) =>
    readdirSync(`${root}/${folder}`, { recursive: true })
      .map((name) => `${folder}/${name}`)
      .filter((file) => /\.tsx?$/.test(file) && !file.endsWith(".test.ts")),
  );
  /** A coordinate of a drawing or a map is no figure that is read; a kept reading is written as files are. */
  const NOT_READ: Readonly<Record<string, RegExp>> = {
    "src/ui/map/site-map.tsx": /toFixed/,
    "src/ui/calculator/pictures/spanner.tsx": /toFixed/,
    "src/app/places/edit-place.tsx": /toFixed/,
    "src/app/store/order/coming-order.tsx": /toFixed/,
    "src/ui/job/step-bench.tsx": /formatIn/,
    "src/ui/job/bodies-strip.tsx": /toFixed/,
    // A template that is printed, the same for everybody.
    "src/ui/calculator/gasket-template.tsx": /toFixed/,
    "src/ui/use-figures.ts": /formatIn|sensibleDigits/,
  };

  it("write no figure but by its reader's mark", () => {
    expect(files.length).toBeGreaterThan(150);
    const found = files.flatMap((file) => {
      const text = readFileSync(`${root}/${file}`, "utf8");
      const found = text.match(/\b(formatIn|sensibleDigits|toFixed|toLocaleString)\b/g) ?? [];
      return found.filter((each) => !NOT_READ[file]?.test(each)).map((each) => `${file}: ${each}`);
    });
    expect([...new Set(found)]).toEqual([]);
  });
});
