import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { FRACTIONS, type PadKey, padUnits, parseQuantity, pressed, unit } from ".";

const digit = (text: string): PadKey => ({ kind: "digit", digit: text });
const quarter: PadKey = { kind: "fraction", fraction: "1/4" };
const typed = (...keys: readonly PadKey[]) => keys.reduce((text, key) => pressed(text, key), "");

describe("the pad of figures", () => {
  it.each([
    ["1.25", [digit("1"), { kind: "mark" }, digit("2"), digit("5")]],
    ["0.4", [{ kind: "mark" }, digit("4")]],
    ["1 1/4", [digit("1"), quarter]],
    ["3/8", [quarter, { kind: "fraction", fraction: "3/8" }]],
    ["1", [digit("1"), quarter, { kind: "back" }]],
    ["-4", [digit("4"), { kind: "sign" }]],
    ["4", [digit("4"), { kind: "sign" }, { kind: "sign" }]],
    ["1.2", [digit("1"), { kind: "mark" }, { kind: "mark" }, digit("2")]],
  ] as const)("writes %s", (text, keys) => {
    expect(typed(...keys)).toBe(text);
  });

  it("writes nothing that is no figure, whatever is pressed, once there is a digit", () => {
    const key = fc.oneof(
      fc.integer({ min: 0, max: 9 }).map((each) => digit(String(each))),
      fc.constantFrom<PadKey>({ kind: "mark" }, { kind: "sign" }, { kind: "back" }),
      fc.constantFrom(...FRACTIONS).map((fraction): PadKey => ({ kind: "fraction", fraction })),
    );
    fc.assert(
      fc.property(fc.array(key, { maxLength: 12 }), (keys) => {
        const text = typed(...keys);
        // Unfinished, it is refused at the field like any other.
        fc.pre(/\d$/.test(text));
        expect(parseQuantity(text, "length", unit("in"))).toMatchObject({ ok: true });
      }),
    );
  });

  it("offers the unit of the field first, and each once", () => {
    for (const first of ["psi g", "bar g"]) {
      const units = padUnits("gauge pressure", first).map(({ id }) => id);
      expect(units[0]).toBe(first);
      expect(new Set(units).size).toBe(units.length);
    }
    expect(padUnits("length", "mm").map(({ id }) => id)).toEqual(["mm", "in"]);
  });
});
