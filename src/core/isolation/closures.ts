import type { LineValve } from "../formats";
import { mediumOf, type Network, standsShut } from "../line";
import { closingMinutes, type Unfit } from "./barrier";
import type { Between } from "./bleed";
import type { Bleed, Closure } from "./plan";
import type { Section } from "./section";
import { rankOf } from "./stream-order";
import { type Feed, feedFinder, type Walk, walkFrom, wayBack } from "./walk";

interface Barriers {
  readonly zone: readonly number[];
  readonly inner: readonly number[];
  readonly outer: readonly number[];
  readonly pieces: readonly Between[];
  readonly section: Section;
  readonly unfit: (link: number) => Unfit | undefined;
}

/** The closures in the order to shut them, each with its reason, and the bleeds between double barriers. */
export function closuresOf(
  net: Network,
  { zone, inner, outer, pieces, section, unfit }: Barriers,
): { closures: Closure[]; bleeds: Bleed[] } {
  const held = { inner: new Set(inner), outer: new Set(outer) };
  const holds = (link: number) => held.inner.has(link) || held.outer.has(link);
  const single = outer.length === 0;
  // The feed of an inner valve comes through the outer one, so each barrier is looked behind with the other open.
  const feedBehind = {
    inner: feedFinder(net, (link) => held.inner.has(link)),
    outer: feedFinder(net, (link) => held.outer.has(link)),
  };
  const work = walkFrom(net, zone, (link) => !holds(link));
  const beyond = single ? work : walkFrom(net, zone, (link) => !held.outer.has(link));
  const inside = new Set(section.nodes);
  const made = [...inner, ...outer].map((index) => {
    const barrier = held.inner.has(index) ? "inner" : "outer";
    return {
      index,
      ...closureOf(net, index, {
        barrier,
        feedBehind: feedBehind[barrier],
        work: barrier === "inner" ? work : beyond,
        holds,
        unfit,
        inside,
      }),
    };
  });
  made.sort(
    (a, b) =>
      rankOf(a.closure.stream) - rankOf(b.closure.stream) ||
      Number(a.closure.barrier === "inner") - Number(b.closure.barrier === "inner") ||
      a.away - b.away ||
      a.index - b.index,
  );
  const id = (link: number) => net.links[link]!.id;
  return {
    closures: made.map((each) => each.closure),
    bleeds: pieces.flatMap((piece) => {
      if (piece.bleed === undefined) return [];
      const node = net.nodes[piece.bleed]!;
      return [
        { node: node.id, name: node.name ?? node.id, between: [...piece.outer, ...piece.inner].map(id) },
      ];
    }),
  };
}

/** One closure with its reason: what it cuts the work off from, and which nearer valve could not be used. */
function closureOf(
  net: Network,
  index: number,
  {
    barrier,
    feedBehind,
    work,
    holds,
    unfit,
    inside,
  }: {
    barrier: Closure["barrier"];
    feedBehind: (node: number) => Feed | undefined;
    work: Walk;
    holds: (link: number) => boolean;
    unfit: (link: number) => Unfit | undefined;
    inside: ReadonlySet<string>;
  },
): { closure: Closure; away: number } {
  const link = net.links[index] as LineValve;
  const ends = [net.from[index]!, net.to[index]!] as const;
  const inward = inside.has(link.from) || work.distance[ends[0]] !== -1;
  const [near, far] = inward ? ends : ([ends[1], ends[0]] as const);
  const feed = feedBehind(far);
  const feeder = feed && net.nodes[feed.energy];
  const open = (each: number) => (barrier === "inner" ? !holds(each) : each !== index);
  const skipped =
    work.distance[near] === -1
      ? []
      : wayBack(net, work, near, open).flatMap(({ link: passed }) => {
          const why = unfit(passed);
          return why === "seized" || why === "passes" || why === "avoided"
            ? [{ link: net.links[passed]!.id, unfit: why }]
            : [];
        });
  const medium = mediumOf(net.line, link);
  const closure: Closure = {
    link: link.id,
    name: link.name ?? link.id,
    ...(link.where !== undefined && { where: link.where }),
    minutes: closingMinutes(link),
    lockable: link.lockable,
    ...(link.turns !== undefined && { turns: link.turns }),
    barrier,
    medium,
    stream: link.stream ?? feeder?.stream ?? medium,
    standsShut: standsShut(link),
    confined: link.confined === true,
    why: {
      ...(feeder !== undefined && { feeder: feeder.name ?? feeder.id }),
      insteadOf: skipped,
      ...(link.hardToReach !== undefined && { hardToReach: link.hardToReach }),
    },
  };
  // What nothing feeds any more is shut last.
  return { closure, away: feed?.links ?? Number.MAX_SAFE_INTEGER };
}
