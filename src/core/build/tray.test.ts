import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Part, Sheet } from "../formats";
import { planStrip, trayAccount } from ".";
import { wet } from "./build.fixtures";

const account = (
  taken: string[],
  more: { fitted?: string[]; renew?: string[]; counted?: [string, number][] } = {},
) =>
  trayAccount(wet, {
    taken,
    fitted: new Set(more.fitted),
    renew: new Set(more.renew),
    ...(more.counted !== undefined && { counted: new Map(more.counted) }),
  });

describe("the tray", () => {
  it("holds what came off, in its turn, with the pieces there are", () => {
    const { items } = account(["gland-bolts", "gland-plate"]);
    expect(items).toEqual([
      {
        part: "gland-bolts",
        name: "Gland bolts",
        quantity: 6,
        counted: 6,
        order: 1,
        place: "on-tray",
        renew: false,
        from: "Gland plate",
      },
      {
        part: "gland-plate",
        name: "Gland plate",
        quantity: 1,
        counted: 1,
        order: 2,
        place: "on-tray",
        renew: false,
        ...keepOf("gland-plate"),
      },
    ]);
  });

  it("balances when all is back or renewed, and no piece is short", () => {
    expect(account([])).toMatchObject({ off: 0, back: 0, balances: true });
    expect(account(["cap", "disc"])).toMatchObject({ off: 2, back: 0, balances: false });
    expect(account(["cap", "disc"], { fitted: ["cap"] })).toMatchObject({
      off: 2,
      back: 1,
      balances: false,
      missing: [{ part: "disc" }],
    });
    const all = account(["cap", "disc"], { fitted: ["cap", "disc"], renew: ["disc"] });
    expect(all).toMatchObject({ off: 2, back: 2, missing: [], short: [], balances: true });
    expect(all.items.map(({ place, renew }) => [place, renew])).toEqual([
      ["back-in", false],
      ["renewed", true],
    ]);
  });

  it("is short of a piece that did not come out, unless a new set goes in", () => {
    const fewer = { fitted: ["gland-bolts"], counted: [["gland-bolts", 5]] as [string, number][] };
    expect(account(["gland-bolts"], fewer)).toMatchObject({
      short: [{ part: "gland-bolts", counted: 5 }],
      balances: false,
    });
    expect(account(["gland-bolts"], { ...fewer, renew: ["gland-bolts"] })).toMatchObject({
      short: [],
      balances: true,
    });
  });

  it("goes by what was counted in, where that was counted", () => {
    const { items } = trayAccount(wet, {
      taken: ["gland-bolts"],
      fitted: new Set(["gland-bolts"]),
      renew: new Set(),
      counted: new Map([["gland-bolts", 5]]),
      fittedCount: new Map([["gland-bolts", 6]]),
    });
    expect(items[0]!.counted).toBe(6);
  });

  it("of a part the sheet does not know is a fault of ours", () => {
    expect(() => account(["ghost"])).toThrow('the tray holds "ghost", which the sheet does not know');
  });

  it("of any strip has each part in one place", () => {
    const strip = planStrip(wet, { reach: ["disc"] });
    const taken = strip.ok
      ? strip.value.moves.flatMap((move) => (move.kind === "remove" ? [move.part] : []))
      : [];
    expect(taken.length).toBeGreaterThan(5);
    fc.assert(
      fc.property(fc.subarray(taken), fc.subarray(taken), (fitted, renew) => {
        const { items, off, back, missing } = account(taken, { fitted, renew });
        expect(off).toBe(taken.length);
        expect(back + missing.length).toBe(off);
        for (const item of items)
          expect(item.place).toBe(
            !fitted.includes(item.part) ? "on-tray" : renew.includes(item.part) ? "renewed" : "back-in",
          );
      }),
    );
  });

  it("says which joint fasteners came from: the first part they hold", () => {
    const fasteners = wet.parts.filter((part) => part.fastener !== undefined);
    expect(fasteners.length).toBeGreaterThan(1);
    for (const part of wet.parts) {
      const [item] = account([part.id]).items;
      expect(item!.from).toBe(part.fastener === undefined ? undefined : heldFirst(wet, part));
    }
  });
});

function keepOf(id: string): { keep?: string } {
  const { keep } = wet.parts.find((part) => part.id === id)!;
  return keep === undefined ? {} : { keep };
}

const heldFirst = (sheet: Sheet, fastener: Part): string | undefined =>
  sheet.parts.find(
    (part) => part.fastener === undefined && part.ways.some(({ heldBy }) => heldBy.includes(fastener.id)),
  )?.name;
