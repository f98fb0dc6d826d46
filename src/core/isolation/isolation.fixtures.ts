import fc from "fast-check";
import { isolationMessage, speaker } from "@/words";
import type { Line } from "../formats";
import { closingMinutes, type IsolationPlan, outageMinutes, planIsolation, unfitness } from ".";

export const node = (id: string, kind: Line["nodes"][number]["kind"] = "junction", more = {}) => ({
  id,
  kind,
  elevation_m: 0,
  ...more,
});
export const pipe = (id: string, from: string, to: string) => ({
  kind: "pipe" as const,
  id,
  from,
  to,
  dn_mm: 100,
  length_m: 10,
});
export const valve = (id: string, from: string, to: string, more = {}) => ({
  kind: "valve" as const,
  id,
  from,
  to,
  normally: "open" as const,
  operable: true,
  lockable: true,
  access_min: 4,
  ...more,
});
export const lineOf = (nodes: Line["nodes"], links: Line["links"], more: Partial<Line> = {}): Line => ({
  format: "loftbell.line",
  version: 1,
  id: "trial",
  name: "Trial",
  medium: "water",
  rule: "single",
  nodes,
  links,
  ...more,
});

/** The plan, or a failed test with the message that a technician would read. */
export function planned(line: Line, open: readonly string[], more = {}): IsolationPlan {
  const plan = planIsolation(line, { open, ...more });
  if (!plan.ok) throw new Error(isolationMessage(speaker(), plan.error));
  return plan.value;
}

export const closuresOf = (line: Line, open: string[], more = {}) => {
  const plan = planIsolation(line, { open, ...more });
  return plan.ok ? plan.value.closures.map((each) => each.link) : isolationMessage(speaker(), plan.error);
};

/** Small random networks: up to `nodes` nodes and `links` links, every kind of flaw; opened at n1, fed at n0. */
export const randomLine = (nodes: number, links: number) =>
  fc
    .record({
      size: fc.integer({ min: 3, max: nodes }),
      uses: fc.array(fc.constantFrom("plain", "plain", "tap", "hydrant", "zone"), {
        minLength: nodes,
        maxLength: nodes,
      }),
      links: linksBetween(nodes, links, ["pipe", "valve", "valve", "valve", "valve", "check"]),
    })
    .map(({ size, uses, links }) =>
      wired(
        Array.from({ length: size }, (_, i) =>
          node(`n${i}`, i === 0 ? "source" : uses[i] === "plain" ? "junction" : "consumer", {
            hydrant: uses[i] === "hydrant",
            protects: uses[i] === "zone",
          }),
        ),
        links,
      ),
    );

/** Small random networks in which most valves hold and many places can be bled. */
export const randomBledLine = (nodes: number, links: number) =>
  fc
    .record({
      size: fc.integer({ min: 4, max: nodes }),
      bleeds: fc.array(fc.constantFrom("drain", "drain", "junction"), { minLength: nodes, maxLength: nodes }),
      links: linksBetween(nodes, links, ["valve", "valve", "valve", "valve", "valve", "pipe"]).map((all) =>
        all.map((link) => ({ ...link, operable: true, passes: link.passes && !link.operable })),
      ),
    })
    .map(({ size, bleeds, links }) =>
      wired(
        Array.from({ length: size }, (_, i) =>
          node(`n${i}`, i === 0 ? "source" : i === 1 ? "consumer" : (bleeds[i] as "drain")),
        ),
        // A link from the feed straight to the work leaves room for one barrier only.
        links.map((link) => ((link.a % size) + (link.b % size) === 1 ? { ...link, b: 2 } : link)),
      ),
    );

interface RandomLink {
  readonly a: number;
  readonly b: number;
  readonly kind: string;
  readonly operable: boolean;
  readonly passes: boolean;
  readonly lockable: boolean;
  readonly access: number;
}

const linksBetween = (nodes: number, most: number, kinds: readonly string[]): fc.Arbitrary<RandomLink[]> =>
  fc.array(
    fc.record({
      a: fc.nat(nodes - 1),
      b: fc.nat(nodes - 1),
      kind: fc.constantFrom(...kinds),
      operable: fc.boolean(),
      passes: fc.boolean(),
      lockable: fc.boolean(),
      access: fc.integer({ min: 1, max: 6 }),
    }),
    { minLength: Math.floor(most / 2), maxLength: most },
  );

/** A line of these nodes; a link that would begin and end at one node is left out, a node on nothing gets a pipe. */
function wired(nodes: Line["nodes"], links: readonly RandomLink[]): Line {
  const made = links.flatMap((link, i): Line["links"] => {
    const [from, to] = [`n${link.a % nodes.length}`, `n${link.b % nodes.length}`];
    if (from === to) return [];
    if (link.kind === "pipe") return [pipe(`l${i}`, from, to)];
    if (link.kind === "check") return [{ kind: "check" as const, id: `l${i}`, from, to }];
    const flaws = {
      operable: link.operable || !link.passes,
      passes: link.passes && link.operable,
      lockable: link.lockable,
      access_min: link.access,
    };
    return [valve(`l${i}`, from, to, flaws)];
  });
  const ends = new Set(made.flatMap((link) => [link.from, link.to]));
  const spare = nodes
    .filter((each) => !ends.has(each.id))
    .map((each) => pipe(`x${each.id}`, each.id, each.id === "n1" ? "n2" : "n1"));
  return lineOf(nodes, [...made, ...spare]);
}

/** Plain search: what is reached from the given places when these links hold. */
export function reachedFrom(
  line: Line,
  starts: readonly string[],
  closed: ReadonlySet<string>,
): ReadonlySet<string> {
  const reached = new Set(starts);
  for (let grew = true; grew; ) {
    grew = false;
    for (const link of line.links)
      if (!closed.has(link.id) && reached.has(link.from) !== reached.has(link.to)) {
        reached.add(link.from).add(link.to);
        grew = true;
      }
  }
  return reached;
}

export const live = (line: Line, closed: ReadonlySet<string>) => reachedFrom(line, ["n0"], closed);

const none = new Set<string>();

export const fitValves = (line: Line): string[] =>
  line.links
    .filter((link) => link.kind === "valve" && unfitness(link, none, none) === undefined)
    .map((link) => link.id);

/** Minutes to shut this set, and of the outages it makes (the opened place itself is out whatever is shut). */
export function costOf(line: Line, closed: ReadonlySet<string>, target: string): number {
  const [before, after] = [live(line, none), live(line, closed)];
  const closing = line.links.reduce(
    (sum, link) => (link.kind === "valve" && closed.has(link.id) ? sum + closingMinutes(link) : sum),
    0,
  );
  const lost = line.nodes.filter((each) => each.id !== target && before.has(each.id) && !after.has(each.id));
  return lost.reduce((sum, each) => sum + outageMinutes(each), closing);
}

/** The cheapest set by trying every set of fit valves. */
export function cheapestByTryingAll(line: Line, target: string): number {
  const fit = fitValves(line);
  let best = Number.POSITIVE_INFINITY;
  for (let mask = 0; mask < 1 << fit.length; mask++) {
    const closed = new Set(fit.filter((_, i) => mask & (1 << i)));
    if (!live(line, closed).has(target)) best = Math.min(best, costOf(line, closed, target));
  }
  return best;
}
