import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { alike, merged } from "./merge";

const was = { tag: "A-1", name: "Old", place: "Quay", last: { yearly: "2026-01-01" } };

describe("one person's change over another's", () => {
  it("keeps both where they changed different fields", () => {
    expect(merged(was, { ...was, name: "New" }, { ...was, place: "Dock" })).toEqual({
      ok: true,
      value: { ...was, name: "New", place: "Dock" },
    });
  });

  it("keeps both entries of one record", () => {
    const mine = { ...was, last: { ...was.last, seals: "2026-02-02" } };
    const now = { ...was, last: { yearly: "2026-03-03" } };
    expect(merged(was, mine, now)).toMatchObject({
      value: { last: { yearly: "2026-03-03", seals: "2026-02-02" } },
    });
  });

  it("names the field both changed, with what the other made of it", () => {
    expect(merged(was, { ...was, name: "Mine" }, { ...was, name: "Theirs" })).toEqual({
      ok: false,
      error: [{ path: "/name", theirs: "Theirs" }],
    });
  });

  it("takes a field away that only one side took away", () => {
    const { last: _, ...without } = was;
    const merge = merged<Partial<typeof was>>(was, without, { ...was, name: "New" });
    expect(merge).toEqual({ ok: true, value: { tag: "A-1", name: "New", place: "Quay" } });
  });

  it("refuses a change of what is gone, and making what another has made", () => {
    expect(merged(was, { ...was, name: "New" }, undefined)).toMatchObject({ ok: false });
    expect(merged(undefined, was, { ...was, name: "Theirs" })).toMatchObject({ ok: false });
    expect(merged(undefined, was, { ...was })).toMatchObject({ ok: true });
  });

  const row = fc.record(
    {
      a: fc.integer({ min: 0, max: 2 }),
      b: fc.integer({ min: 0, max: 2 }),
      c: fc.dictionary(fc.constantFrom("x", "y"), fc.integer({ min: 0, max: 2 }), { minKeys: 1 }),
      d: fc.array(fc.integer({ min: 0, max: 1 }), { maxLength: 2 }),
    },
    { requiredKeys: ["a"] },
  );

  it("is the change itself where nobody else did anything, and nothing where it changes nothing", () => {
    fc.assert(
      fc.property(row, row, (before, after) => {
        expect(merged(before, after, before)).toEqual({ ok: true, value: after });
        expect(merged(before, before, after)).toEqual({ ok: true, value: after });
      }),
    );
  });

  it("taken back gives what was before, whatever else was changed since in other fields", () => {
    fc.assert(
      fc.property(row, row, fc.integer(), (before, after, since) => {
        const now = { ...after, e: since };
        const back = merged<Record<string, unknown>>(after, before, now);
        expect(back.ok && alike(back.value, { ...before, e: since })).toBe(true);
      }),
    );
  });

  it("does not hang on whose change came first, where the two can be joined", () => {
    fc.assert(
      fc.property(row, row, row, (before, mine, theirs) => {
        const one = merged(before, mine, theirs);
        const other = merged(before, theirs, mine);
        expect(one.ok).toBe(other.ok);
        if (one.ok && other.ok) expect(alike(one.value, other.value)).toBe(true);
      }),
    );
  });
});
