import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Sheet } from "../formats";
import { assembly, removable } from "./assembly";
import { trialSheet } from "./build.fixtures";
import { neverOff } from "./never-off";

const held = (...heldBy: string[]) => [{ heldBy, minutes: 1 }];
const told = (sheet: Sheet) => neverOff(sheet).map(({ message }) => message.split(" can never")[0]);

describe("parts that never come off", () => {
  it("are those of a ring, and not what hangs behind it", () => {
    const sheet = trialSheet({
      cap: held("nut"),
      nut: held("cap"),
      disc: held("cap"),
      seat: held("disc"),
      free: held(),
    });
    expect(told(sheet)).toEqual(["cap", "nut"]);
    expect(neverOff(sheet)[0]).toEqual({
      path: "/parts/0/ways",
      message: "cap can never come off: it is held by nut, and nothing frees that. Break the ring.",
    });
  });

  it("are a part that holds itself, and a ring of three", () => {
    expect(told(trialSheet({ a: held("a"), b: held() }))).toEqual(["a"]);
    expect(told(trialSheet({ a: held("b"), b: held("c"), c: held("a"), d: held("a") }))).toEqual([
      "a",
      "b",
      "c",
    ]);
  });

  it("are none where one of two ways is free", () => {
    const sheet = trialSheet({
      a: [...held("b"), ...held("c")],
      b: held("a"),
      c: held(),
    });
    expect(told(sheet)).toEqual([]);
  });

  it("are right behind what stays", () => {
    const sheet = trialSheet({ body: [], disc: held("body"), seat: held("disc") });
    sheet.parts[0]!.stays = true;
    expect(told(sheet)).toEqual(["disc"]);
  });

  it("are not told of again where a part has no way, or an unknown holder, which is told elsewhere", () => {
    expect(told(trialSheet({ cap: [], disc: held("cap") }))).toEqual([]);
    expect(told(trialSheet({ cap: held("ghost"), disc: held("cap") }))).toEqual([]);
  });

  it("are told of for the build on which it is so", () => {
    const sheet = trialSheet({ cap: held("disc"), disc: held("cap") });
    sheet.builds = [
      { id: "old", name: "Old" },
      { id: "new", name: "New" },
    ] as Sheet["builds"];
    sheet.parts[0]!.ways.push({ ...sheet.parts[0]!.ways[0]!, heldBy: [], builds: ["new"] });
    expect(neverOff(sheet).map(({ message }) => message)).toEqual([
      "cap can never come off on build Old: it is held by disc, and nothing frees that. Break the ring.",
      "disc can never come off on build Old: it is held by cap, and nothing frees that. Break the ring.",
    ]);
  });

  it("are told of exactly when something cannot come off", () => {
    const ids = ["a", "b", "c", "d", "e"];
    const ways = fc.array(fc.subarray(ids, { maxLength: 2 }), { minLength: 1, maxLength: 2 });
    let [stuck, free] = [0, 0];
    fc.assert(
      fc.property(fc.array(ways, { minLength: 5, maxLength: 5 }), (all) => {
        const sheet = trialSheet(
          Object.fromEntries(
            all.map((each, at) => [ids[at]!, each.map((heldBy) => ({ heldBy, minutes: 1 }))]),
          ),
        );
        const can = removable(assembly(sheet));
        const names = told(sheet);
        for (const name of names) expect(can.has(name!)).toBe(false);
        expect(names.length > 0).toBe(can.size < ids.length);
        if (names.length > 0) stuck += 1;
        else free += 1;
      }),
      { numRuns: 300 },
    );
    expect(Math.min(stuck, free)).toBeGreaterThan(20);
  });
});
