import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { codeOf, mayAs, passwordFault, pinFault, plainCode, ROLES } from "./index";

describe("roles", () => {
  it("each may do what those before it may, and nothing of those behind", () => {
    const table = ROLES.map((role) => ROLES.map((asked) => (mayAs(role, asked) ? "x" : "-")).join(""));
    expect(table).toEqual(["x---", "xx--", "xxx-", "xxxx"]);
  });
});

describe("a password", () => {
  it.each([
    ["three words", "brass gate tide", undefined],
    ["nine signs", "abcdefghi", "too-short"],
    ["a book", "word ".repeat(60), "too-long"],
    ["the name with a figure", "Isla Venn 1", "is-the-name"],
    ["one sign over and over", "aaaaabbbbbcc", "too-even"],
  ])("%s", (_, password, kind) => {
    expect(passwordFault(password, "Isla Venn")?.kind).toBe(kind);
  });
  it("is judged without a name, too", () => {
    expect(passwordFault("brass gate tide", "")).toBeUndefined();
  });
});

describe("a PIN", () => {
  it.each([
    ["4827", undefined],
    ["1357", undefined],
    ["482", "figures-only"],
    ["123456789", "figures-only"],
    ["48a7", "figures-only"],
    ["", "figures-only"],
    ["0000", "too-even"],
    ["1234", "too-even"],
    ["8765", "too-even"],
  ])("%s", (pin, kind) => {
    expect(pinFault(pin)?.kind).toBe(kind);
  });
});

describe("a code", () => {
  it("has ten signs that are not taken for one another", () => {
    fc.assert(
      fc.property(fc.uint8Array({ minLength: 40, maxLength: 40 }), (bytes) => {
        const code = codeOf(bytes);
        fc.pre(code.length === 11);
        expect(code).toMatch(/^[2-9A-HJKMNP-TV-Z]{5}-[2-9A-HJKMNP-TV-Z]{5}$/);
      }),
    );
  });
  it("has every sign as often as any other", () => {
    const counts = new Map<string, number>();
    for (let byte = 0; byte < 256; byte++) {
      const [sign] = codeOf([byte]);
      if (sign !== "-") counts.set(sign!, (counts.get(sign!) ?? 0) + 1);
    }
    expect(counts.size).toBe(30);
    expect(new Set(counts.values()).size).toBe(1);
  });
  it("is known however it was typed", () => {
    expect(plainCode(" k7q2m-p9xwa ")).toBe(plainCode("K7Q2M P9XWA"));
  });
});
