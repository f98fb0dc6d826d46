import { describe, expect, it } from "vitest";
import { librarySheet } from "../job/job.fixtures";
import { ROW_SCHEMAS, readAs, readDocument } from ".";

const valve = { tag: "CB-T1", name: "Trap", place: "Cellar", sheet: "lantern-bucket-20" };
const said = (change: Record<string, unknown>) => {
  const read = readAs(ROW_SCHEMAS.register, { ...valve, ...change });
  return read.ok ? "" : read.error.map((each) => `${each.path} ${each.message}`).join("; ");
};

describe("what a schema finds is said to a technician", () => {
  it.each([
    [{ tag: "CB T1" }, '/tag "CB T1" cannot be taken. Use letters, figures'],
    [{ installed: "12/03/2018" }, "Write the date as year-month-day: 2018-03-12."],
    [{ name: "" }, "/name Fill this in."],
    [{ name: 7 }, "/name 7 cannot stand here: give words."],
    [{ name: "x".repeat(401) }, "Too long: at most 400 letters."],
    [{ colour: "red" }, "/colour Unknown field"],
    [{ name: undefined }, "/name Missing: fill this in."],
    [{ name: { deep: [] } }, "/name An object cannot stand here: give words."],
  ])("%j", (change, words) => expect(said(change)).toContain(words));

  it("whatever is wrong, the words are ours and not the validator's", () => {
    const sheet = librarySheet("brae-quaywall-4") as unknown as Record<string, unknown>;
    let looked = 0;
    for (const field of Object.keys(sheet))
      for (const wrong of [null, "", -1, 1e300, [], {}, [{}], [[]], "x".repeat(5000), true]) {
        const read = readDocument({ ...sheet, [field]: wrong });
        if (read.ok) continue;
        looked += read.error.length;
        for (const { message } of read.error)
          expect(message).not.toMatch(/\bmust (NOT|be|have|match)\b|pattern|undefined/);
      }
    expect(looked).toBeGreaterThan(150);
  });
});
