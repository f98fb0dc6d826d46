import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Line } from "../formats";
import { lineOf, node, pipe, randomLine, valve } from "../isolation/isolation.fixtures";
import { lineStates } from ".";

const NONE = new Set<string>();
const of = (
  line: Line,
  shut: readonly string[],
  passing: readonly string[] = [],
  section: readonly string[] = [],
) => lineStates(line, { shut: new Set(shut) }, new Set(section), new Set(passing));

/** Places that pressure comes to from the sources, by going from place to place as long as something grows. */
function reached(line: Line, lets: (link: Line["links"][number], from: string) => boolean): Set<string> {
  const seen = new Set(line.nodes.flatMap(({ id, kind }) => (kind === "source" ? [id] : [])));
  for (let grew = true; grew; ) {
    grew = false;
    for (const link of line.links)
      for (const [from, to] of [
        [link.from, link.to],
        [link.to, link.from],
      ] as const)
        if (seen.has(from) && !seen.has(to) && lets(link, from)) {
          seen.add(to);
          grew = true;
        }
  }
  return seen;
}

const main = lineOf(
  [node("S", "source"), node("a"), node("H", "consumer"), node("b"), node("K", "consumer")],
  [
    valve("V1", "S", "a"),
    pipe("p", "a", "H"),
    { kind: "check" as const, id: "C", from: "a", to: "b" },
    valve("V2", "b", "K"),
  ],
);

describe("how each stretch of a line stands", () => {
  it("is live on an ordinary day, and nobody goes without", () => {
    const states = of(main, []);
    expect(main.nodes.map(({ id }) => states.stateOf(id))).toEqual(["live", "live", "live", "live", "live"]);
    expect([states.lost.size, states.doubt]).toEqual([0, false]);
  });

  it("is dead behind what is shut; who goes without is named", () => {
    const states = of(main, ["V1"]);
    expect(main.nodes.map(({ id }) => states.stateOf(id))).toEqual(["live", "dead", "dead", "dead", "dead"]);
    expect([...states.lost]).toEqual(["H", "K"]);
    expect(states.doubt).toBe(false);
  });

  it("is shut in as long as the section is not proven", () => {
    const states = of(main, ["V1"], [], ["a", "H"]);
    expect(["a", "H", "b"].map(states.stateOf)).toEqual(["shut-in", "shut-in", "dead"]);
  });

  it("is not known behind a valve that passes, told today or on the line", () => {
    const told = of(main, ["V1"], ["V1"], ["a"]);
    expect(["S", "a", "H", "b", "K"].map(told.stateOf)).toEqual([
      "live",
      "unknown",
      "unknown",
      "unknown",
      "unknown",
    ]);
    expect(told.doubt).toBe(true);
    const known = lineOf(main.nodes, [valve("V1", "S", "a", { passes: true }), ...main.links.slice(1)]);
    expect(of(known, ["V1"]).stateOf("a")).toBe("unknown");
  });

  it("of a valve that stands shut is dead behind it, and nobody is lost who was not fed", () => {
    const stands = lineOf(main.nodes, [valve("V1", "S", "a", { normally: "shut" }), ...main.links.slice(1)]);
    expect(of(stands, []).stateOf("a")).toBe("dead");
    expect(of(stands, []).lost.size).toBe(0);
  });

  it("is what a plain search finds, on any line, whatever is shut", () => {
    const cases = randomLine(8, 12).chain((line) =>
      fc.tuple(
        fc.constant(line),
        fc.subarray(line.links.flatMap(({ id, kind }) => (kind === "valve" ? [id] : []))),
      ),
    );
    const seen = { live: 0, dead: 0, unknown: 0, "shut-in": 0 };
    fc.assert(
      fc.property(cases, ([line, shut]) => {
        const states = lineStates(line, { shut: new Set(shut) }, NONE, NONE);
        const closed = (link: Line["links"][number]) =>
          shut.includes(link.id) || ("normally" in link && link.normally === "shut");
        const forward = (link: Line["links"][number], from: string) =>
          link.kind !== "check" || link.from === from;
        const live = reached(line, (link, from) => !closed(link) && forward(link, from));
        const maybe = reached(
          line,
          (link) => !(link.kind === "valve" && link.passes !== true && closed(link)),
        );
        const usual = reached(
          line,
          (link, from) => forward(link, from) && !("normally" in link && link.normally === "shut"),
        );
        for (const { id, kind } of line.nodes) {
          const state = states.stateOf(id);
          seen[state] += 1;
          expect(state, id).toBe(live.has(id) ? "live" : maybe.has(id) ? "unknown" : "dead");
          expect(states.lost.has(id), id).toBe(kind === "consumer" && usual.has(id) && !live.has(id));
        }
        expect(states.doubt).toBe([...maybe].some((id) => !live.has(id)));
      }),
      { numRuns: 300 },
    );
    expect(Math.min(seen.live, seen.dead, seen.unknown)).toBeGreaterThan(50);
  });
});
