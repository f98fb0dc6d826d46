import { readdirSync } from "node:fs";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Line } from "@/core/formats";
import { type IsolationPlan, planIsolation } from "@/core/isolation";
import { demoDocument } from "@/core/job/job.fixtures";

/**
 * Safety of every plan on every demo line, whatever is opened, avoided, found to pass or kept: looked at by a plain
 * search of its own that shares nothing with the engine.
 */
const lines = readdirSync(new URL("lines", import.meta.url)).map((name) =>
  demoDocument<Line>(`lines/${name}`),
);

const demand = fc.constantFrom(...lines).chain((line) => {
  const valves = line.links.filter((link) => link.kind === "valve").map((link) => link.id);
  const places = [...line.nodes.filter((node) => node.kind !== "source").map((node) => node.id), ...valves];
  return fc.record({
    line: fc.constant(line),
    open: fc.constantFrom(...places),
    avoid: fc.subarray(valves, { maxLength: 2 }),
    passing: fc.subarray(valves, { maxLength: 2 }),
  });
});

/** Pairs of places that this link joins when it cannot be counted on: everything but a sound valve shut for the job. */
const joins = (line: Line, plan: IsolationPlan, passing: readonly string[], left: ReadonlySet<string>) => {
  const turned = new Map(plan.turned.map((each) => [each.node, each.to.id]));
  const ports = new Map<string, string>();
  for (const node of line.nodes) {
    if (node.threeWay === undefined || node.threeWay.passes || passing.includes(node.id)) continue;
    const stands = turned.get(node.id) ?? node.threeWay.normally;
    const { joins } = node.threeWay.positions.find((each) => each.id === stands)!;
    const own = line.links.filter((link) => link.from === node.id || link.to === node.id);
    for (const link of own) {
      const group = joins.findIndex((each) => each.includes(link.id));
      ports.set(
        `${node.id} ${link.id}`,
        group === -1 ? `${node.id} alone ${link.id}` : `${node.id} group ${group}`,
      );
    }
  }
  const end = (node: string, link: string) => ports.get(`${node} ${link}`) ?? node;
  return line.links.flatMap((link): [string, string][] =>
    left.has(link.id) ? [] : [[end(link.from, link.id), end(link.to, link.id)]],
  );
};

function reached(pairs: readonly [string, string][], from: readonly string[]): Set<string> {
  const seen = new Set(from);
  for (let grew = true; grew; ) {
    grew = false;
    for (const [a, b] of pairs)
      if (seen.has(a) !== seen.has(b)) {
        seen.add(a).add(b);
        grew = true;
      }
  }
  return seen;
}

const energies = (line: Line) =>
  line.nodes
    .filter((node) => ["source", "boundary", "vessel"].includes(node.kind) || node.feedsBack)
    .map((node) => node.id);

/** The places that are open to a person, and what is of the same equipment. */
function zoneOf(line: Line, open: string): string[] {
  const link = line.links.find((each) => each.id === open);
  const places = link === undefined ? [open] : [link.from, link.to];
  return places.flatMap((place) => [place, ...(line.nodes.find((node) => node.id === place)?.with ?? [])]);
}

describe("whatever is opened on any line of the demo", () => {
  it("no energy reaches it past the closures, each of which is a sound valve", () => {
    let plans = 0;
    fc.assert(
      fc.property(demand, ({ line, open, avoid, passing }) => {
        const made = planIsolation(line, { open: [open], avoid, passing });
        if (!made.ok) return;
        plans += 1;
        const plan = made.value;
        const shut = new Set(plan.closures.map((each) => each.link));
        for (const id of shut) {
          const link = line.links.find((each) => each.id === id)!;
          if (link.kind !== "valve") throw new Error(`${id} is a ${link.kind}`);
          expect(
            link.operable && link.passes !== true && !passing.includes(id) && !avoid.includes(id),
            id,
          ).toBe(true);
        }
        const live = reached(joins(line, plan, passing, shut), energies(line));
        for (const place of zoneOf(line, open))
          expect(live.has(place), `${line.id}: ${place} with ${[...shut]} shut`).toBe(false);
      }),
      { numRuns: 400 },
    );
    expect(plans).toBeGreaterThan(150);
  });

  it("with one barrier, no closure is needless", () => {
    let spared = 0;
    fc.assert(
      fc.property(demand, ({ line, open, avoid, passing }) => {
        if (line.rule !== "single" || line.nodes.some((node) => node.threeWay !== undefined)) return;
        const made = planIsolation(line, { open: [open], avoid, passing });
        if (!made.ok || made.value.pumps.length > 0) return;
        const shut = made.value.closures.map((each) => each.link);
        const zone = zoneOf(line, open);
        for (const spare of shut) {
          spared += 1;
          const left = new Set(shut.filter((each) => each !== spare));
          const live = reached(joins(line, made.value, passing, left), energies(line));
          expect(
            zone.some((place) => live.has(place)),
            `${line.id} ${open}: ${spare}`,
          ).toBe(true);
        }
      }),
      { numRuns: 300 },
    );
    expect(spared).toBeGreaterThan(100);
  });

  it("comes back in an order that hurts nobody: bleeds and drain shut, hot after cold, steam after condensate, liquid after suction, electricity and pumps last", () => {
    let compared = 0;
    fc.assert(
      fc.property(demand, ({ line, open, avoid, passing }) => {
        const made = planIsolation(line, { open: [open], avoid, passing });
        if (!made.ok) return;
        const { restoring, closures } = made.value;
        const at = (test: (id: string) => boolean) =>
          restoring.flatMap((act, index) => (act.kind === "open" && test(act.id) ? [index] : []));
        const of = (...streams: string[]) =>
          at((id) => streams.includes(closures.find((each) => each.link === id)?.stream ?? ""));
        const inOrder = (first: readonly number[], second: readonly number[]) => {
          for (const a of first)
            for (const b of second) {
              compared += 1;
              expect(a).toBeLessThan(b);
            }
        };
        inOrder(of("cold"), of("hot"));
        inOrder(of("condensate"), of("steam"));
        inOrder(of("suction"), of("liquid", "hot-gas"));
        inOrder(of("air", "pilot"), of("water"));
        const firstOpen = restoring.findIndex((act) => act.kind === "open");
        restoring.forEach((act, index) => {
          if (act.kind === "shut-bleed" || act.kind === "shut-drain")
            expect(firstOpen === -1 || index < firstOpen).toBe(true);
          if (act.kind === "switch-on" || act.kind === "start-pump")
            for (const later of restoring.slice(index))
              expect(["switch-on", "start-pump", "shut-bypass"]).toContain(later.kind);
          // Nobody goes without: the way round is shut when all that it goes round has come back.
          if (act.kind === "shut-bypass")
            for (const later of restoring.slice(index)) expect(later.kind).toBe("shut-bypass");
        });
      }),
      { numRuns: 300 },
    );
    expect(compared).toBeGreaterThan(20);
  });

  it("no vessel that has a relief valve is left without one", () => {
    let vessels = 0;
    fc.assert(
      fc.property(demand, ({ line, open, avoid, passing }) => {
        const made = planIsolation(line, { open: [open], avoid, passing });
        if (!made.ok) return;
        const shut = new Set(made.value.closures.map((each) => each.link));
        const standsShut = line.links.flatMap((link) =>
          "normally" in link && link.normally === "shut" ? [link.id] : [],
        );
        const pairs = joins(line, made.value, passing, new Set([...shut, ...standsShut]));
        const usual = joins(line, { ...made.value, turned: [] }, passing, new Set(standsShut));
        const reliefs = new Set(line.nodes.filter((node) => node.kind === "relief").map((node) => node.id));
        const has = (each: [string, string][], vessel: string) =>
          [...reached(each, [vessel])].some((place) => reliefs.has(place));
        for (const vessel of line.nodes.filter((node) => node.kind === "vessel"))
          if (has(usual, vessel.id)) {
            vessels += 1;
            expect(has(pairs, vessel.id), `${line.id} ${vessel.id}`).toBe(true);
          }
      }),
      { numRuns: 200 },
    );
    expect(vessels).toBeGreaterThan(20);
  });
});
