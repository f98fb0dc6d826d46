import { describe, expect, it } from "vitest";
import { at, type Box, boxesOf, readBox, shownIn, withAt } from "./own-field";

const number = { name: "lat", label: "North", path: "/lat", line: { kind: "number" } } as const satisfies Box;
const day = {
  name: "installed",
  label: "Built in",
  path: "/installed",
  line: { kind: "day" },
} as const satisfies Box;

describe("a form over a row", () => {
  it("finds and sets a field, or an entry of a record, and takes out what is empty", () => {
    const row = { name: "A", last: { five: "2026-01-01" } };
    expect(at(row, "/name")).toBe("A");
    expect(at(row, "/last/five")).toBe("2026-01-01");
    expect(at(row, "/served/stack")).toBeUndefined();
    expect(withAt(row, "/served/stack", 2)).toEqual({ ...row, served: { stack: 2 } });
    expect(withAt(row, "/last/five", undefined)).toEqual({ name: "A" });
    expect(withAt(row, "/name", undefined)).toEqual({ last: row.last });
    expect(withAt(row, "/last/a/b", "x")).toEqual({ name: "A", last: { five: "2026-01-01", "a/b": "x" } });
  });

  it("asks for each entry of a record in a box of its own", () => {
    const boxes = boxesOf({
      kind: "entries",
      name: "last",
      label: "Last done",
      each: "day",
      keys: [
        { id: "yearly", name: "Look" },
        { id: "seals", name: "Seals" },
      ],
    });
    expect(boxes.map(({ path, label }) => [path, label])).toEqual([
      ["/last/yearly", "Look"],
      ["/last/seals", "Seals"],
    ]);
  });

  it("reads a number with point or comma, and says what is none", () => {
    expect(readBox(number, " 57,1 ")).toEqual({ ok: true, value: 57.1 });
    expect(readBox(number, "")).toEqual({ ok: true, value: undefined });
    expect(readBox(number, "north")).toMatchObject({
      ok: false,
      message: expect.stringContaining('"north"'),
    });
  });

  it("shows of an instant the day", () => {
    expect(shownIn(day, "2019-05-02T08:00:00Z")).toBe("2019-05-02");
    expect(shownIn(number, 0)).toBe("0");
  });
});
