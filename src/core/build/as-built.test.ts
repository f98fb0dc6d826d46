import { describe, expect, it } from "vitest";
import { librarySheet } from "../job/job.fixtures";
import { asBuilt, checkSheet, unsourced } from ".";

const quay = librarySheet("brae-quaywall-4");
const endOf = (sheet: typeof quay) => sheet.parts.find(({ id }) => id === "nozzle-screw")?.fit?.end.kind;

describe("a sheet for one build", () => {
  it("is tightened as that build is, and as the others are where nothing is said", () => {
    expect(endOf(asBuilt(quay, "threaded"))).toBe("touch");
    expect(endOf(asBuilt(quay, "bayonet"))).toBe("touch-and-back-off");
    expect(asBuilt(quay, undefined)).toBe(quay);
  });

  it("names builds that it has, and who says a figure", () => {
    const sheet = structuredClone(quay);
    sheet.demonstration = false;
    const fit = sheet.parts.find(({ id }) => id === "nozzle-screw")!.fit!;
    fit.byBuild = { square: { kind: "angle", fromContact_deg: 30 } };
    expect(checkSheet(sheet).map(({ message }) => message)).toContain('This sheet has no build "square".');
    expect(unsourced(sheet).some(({ path }) => path.endsWith("/fit/byBuild/square"))).toBe(true);
  });
});
