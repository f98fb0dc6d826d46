import { renderToStaticMarkup } from "react-dom/server";
import { describe, expect, it } from "vitest";
import type { Grade, Rubric } from "@/core/formats";
import { Wear } from "./wear";

const RUBRICS: readonly Rubric[] = [
  "lip",
  "ring",
  "face",
  "bore",
  "stem",
  "ball",
  "diaphragm",
  "spring",
  "holes",
  "thread",
  "packing",
];
const GRADES: readonly Grade[] = ["good", "marginal", "gone"];

describe("wear, drawn", () => {
  it("each grade of each rubric is drawn otherwise", () => {
    const drawn = RUBRICS.flatMap((rubric) =>
      GRADES.map((grade) => renderToStaticMarkup(<Wear rubric={rubric} grade={grade} />)),
    );
    expect(new Set(drawn).size).toBe(RUBRICS.length * GRADES.length);
    for (const each of drawn) expect(each).not.toMatch(/NaN|undefined/);
  });

  it.each(RUBRICS)("%s: what is good shows nothing in the colour of harm", (rubric) => {
    expect(renderToStaticMarkup(<Wear rubric={rubric} grade="good" />)).not.toContain("--stop");
    expect(renderToStaticMarkup(<Wear rubric={rubric} grade="gone" />)).toMatch(/--stop|--draw/);
  });
});
