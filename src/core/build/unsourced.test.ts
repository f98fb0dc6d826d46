import { describe, expect, it } from "vitest";
import { librarySheet } from "../job/job.fixtures";
import { unsourced } from "./unsourced";

const sheet = librarySheet("brae-quaywall-4");

describe("figures without a source", () => {
  it("demonstration data has none to name", () => {
    expect(unsourced(sheet)).toEqual([]);
  });

  it("for real equipment each torque and each limit is named until somebody is named for it", () => {
    const real = { ...sheet, demonstration: false };
    const found = unsourced(real);
    expect(found.map(({ path }) => path)).toContain("/parts/2/fit/end");
    const limits = real.checks.findIndex(({ id }) => id === "static-pressure");
    expect(found.map(({ path }) => path)).toContain(`/checks/${limits}`);
    const sourced = {
      ...real,
      parts: real.parts.map((part) =>
        part.fit?.end.kind === "torque"
          ? { ...part, fit: { ...part.fit, end: { ...part.fit.end, source: "Works drawing 7" } } }
          : part,
      ),
      checks: real.checks.map((check) =>
        check.kind === "measure" ? { ...check, source: "Works drawing 7" } : check,
      ),
    };
    expect(unsourced(sourced)).toEqual([]);
  });
});
