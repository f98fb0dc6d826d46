import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Line } from "../formats";
import { notBoth } from ".";
import { lineOf, live, node, planned, randomLine, valve } from "./isolation.fixtures";

const off = (line: Line, id: string) => ({ opens: [id], plan: planned(line, [id]) });

describe("two pieces of work that each may be out alone", () => {
  it("are not out together where a vessel would have no relief valve left", () => {
    const twins = lineOf(
      [
        node("feed", "source", { pressure_bar: 8 }),
        node("drum", "vessel", { name: "Surge drum" }),
        node("left", "relief"),
        node("right", "relief"),
        node("bath", "consumer"),
      ],
      [
        valve("VF", "feed", "drum"),
        valve("VL", "drum", "left"),
        valve("VR", "drum", "right"),
        valve("VB", "drum", "bath"),
      ],
    );
    const [left, right] = [off(twins, "left"), off(twins, "right")];
    expect(notBoth(twins, left, right)).toEqual({ kind: "unprotected", vessel: "Surge drum" });
    expect(notBoth(twins, left, off(twins, "bath"))).toBeUndefined();
  });

  it("are not out together where who may not be without is fed by the one while the other is shut", () => {
    const fedTwice = (more: object) =>
      lineOf(
        [node("feed", "source"), node("a"), node("b"), node("ward", "consumer", { name: "Ward", ...more })],
        [
          valve("VA1", "feed", "a"),
          valve("VA2", "a", "ward"),
          valve("VB1", "feed", "b"),
          valve("VB2", "b", "ward"),
        ],
      );
    for (const more of [{ mustKeep: "Dialysis" }, { protects: true }, { hydrant: true }]) {
      const line = fedTwice(more);
      expect(notBoth(line, off(line, "a"), off(line, "b"))).toEqual({ kind: "without", name: "Ward" });
    }
    const tap = fedTwice({});
    expect(notBoth(tap, off(tap, "a"), off(tap, "b"))).toBeUndefined();
  });

  it("never is silent of fire protection that goes out by both alone", () => {
    fc.assert(
      fc.property(randomLine(8, 12), (line) => {
        const ids = line.nodes.slice(1).map(({ id }) => id);
        const shut = ids.flatMap((id) => {
          try {
            return [{ id, ...off(line, id) }];
          } catch {
            return [];
          }
        });
        for (const [at, a] of shut.entries())
          for (const b of shut.slice(at + 1)) {
            const links = (of: typeof a) => of.plan.closures.map(({ link }) => link);
            const left = (...all: string[]) => live(line, new Set(all));
            const [before, alone, other, both] = [
              left(),
              left(...links(a)),
              left(...links(b)),
              left(...links(a), ...links(b)),
            ];
            const fire = line.nodes.some(
              (each) =>
                each.kind === "consumer" &&
                (each.hydrant || each.protects) &&
                before.has(each.id) &&
                alone.has(each.id) &&
                other.has(each.id) &&
                !both.has(each.id),
            );
            // What stands shut on an ordinary day, and check valves, are left to the engine: here all is open both ways.
            const plain = line.links.every(
              (each) => each.kind !== "check" && (each.kind !== "valve" || each.normally === "open"),
            );
            if (plain && fire) expect(notBoth(line, a, b)?.kind).toBe("without");
          }
      }),
      { numRuns: 300 },
    );
  });
});
