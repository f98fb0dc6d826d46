import type { Network } from "../line";
import type { Act, Bleed, Closure, Turned } from "./plan";

import type { Section } from "./section";
import { orderOf } from "./stream-order";

interface Made {
  readonly net: Network;
  readonly closures: readonly Closure[];
  readonly turned: readonly Turned[];
  readonly bleeds: readonly Bleed[];
  readonly section: Section;
  readonly pumps: readonly { readonly link: string; readonly name: string }[];
  readonly pumpedOut: readonly { readonly node: string; readonly name: string }[];
}

/** Streams that are shut before a vessel is drawn down, and those that draw it down. */
const DRAWS_DOWN_AT = orderOf("suction").rank;

/** Pumps and electricity, then stream by stream, from the feed on; bleeds when both barriers stand. */
export function shuttingOrder({ closures, turned, bleeds, pumps, pumpedOut }: Made): Act[] {
  const shut = (closure: Closure, index: number): Act => ({
    kind: closure.medium === "electricity" ? "switch-off" : "shut",
    id: closure.link,
    name: closure.name,
    why:
      orderOf(closure.stream).shut ??
      (index === 0 ? "From the feed on: what lies behind loses pressure valve by valve." : ""),
  });
  const before = closures.filter((each) => orderOf(each.stream).rank < DRAWS_DOWN_AT);
  const after = closures.filter((each) => orderOf(each.stream).rank >= DRAWS_DOWN_AT);
  return [
    ...pumps.map(
      (pump): Act => ({
        kind: "stop-pump",
        id: pump.link,
        name: pump.name,
        why: "Pumps first: a running pump makes pressure as fast as you drain it.",
      }),
    ),
    ...before.map(shut),
    ...pumpedOut.map(
      (vessel): Act => ({
        kind: "pump-out",
        id: vessel.node,
        name: vessel.name,
        why: "While the way it is drawn down by is still open.",
      }),
    ),
    ...turned.map(
      (valve): Act => ({
        kind: "turn",
        id: valve.node,
        name: `${valve.name}: ${valve.to.name}`,
        why: valve.why,
      }),
    ),
    ...after.map((closure, index) => shut(closure, before.length + index)),
    ...bleeds.map(
      (bleed): Act => ({
        kind: "open-bleed",
        id: bleed.node,
        name: bleed.name,
        why: `Between ${bleed.between.join(" and ")}: what creeps past the first barrier comes out here and not at you. It stays open.`,
      }),
    ),
  ];
}

/** Bleeds and drain shut, three-way valves back, then stream by stream in reverse; of one stream the lowest first. */
export function restoringOrder({ net, closures, turned, bleeds, section, pumps }: Made): Act[] {
  const inside = new Set(section.nodes);
  const height = (closure: Closure) => {
    const { from, to } = net.links[net.linkIndex.get(closure.link)!]!;
    return net.nodes[net.nodeIndex.get(inside.has(from) ? from : to)!]!.elevation_m;
  };
  const order = closures
    .map((closure, place) => ({ closure, place }))
    .sort(
      (a, b) =>
        orderOf(b.closure.stream).rank - orderOf(a.closure.stream).rank ||
        Number(a.closure.barrier === "outer") - Number(b.closure.barrier === "outer") ||
        height(a.closure) - height(b.closure) ||
        a.place - b.place,
    )
    .map((each) => each.closure);
  const firstOf = new Set<string>();
  const open = (closure: Closure): Act => {
    const first = !firstOf.has(closure.stream);
    firstOf.add(closure.stream);
    return {
      kind: closure.standsShut ? "leave-shut" : closure.medium === "electricity" ? "switch-on" : "open",
      id: closure.link,
      name: closure.name,
      why: closure.standsShut
        ? "It stands shut on an ordinary day."
        : whyOpen(closure, first, bleeds.length > 0),
    };
  };
  const { drain } = section;
  const drainName = drain && (net.nodes[net.nodeIndex.get(drain.node)!]!.name ?? drain.node);
  return [
    ...bleeds.map(
      (bleed): Act => ({
        kind: "shut-bleed",
        id: bleed.node,
        name: bleed.name,
        why: "Before anything opens: it leads outside.",
      }),
    ),
    ...(drain && drainName !== undefined
      ? [
          {
            kind: "shut-drain" as const,
            id: drain.node,
            name: drainName,
            why: "Before the medium comes back, not after.",
          },
        ]
      : []),
    ...turned.map(
      (valve): Act => ({
        kind: "turn-back",
        id: valve.node,
        name: `${valve.name}: ${valve.from.name}`,
        why: "As it stood: both sides of it are whole again.",
      }),
    ),
    ...order.map(open),
    ...pumps.map(
      (pump): Act => ({
        kind: "start-pump",
        id: pump.link,
        name: pump.name,
        why: "Last: against a full line it makes no surge.",
      }),
    ),
  ];
}

function whyOpen(closure: Closure, first: boolean, double: boolean): string {
  const { open } = orderOf(closure.stream);
  if (double && closure.barrier === "inner")
    return `${open === undefined ? "" : `${open} `}The inner one first: nothing stands behind it, so it opens freely; the outer one then fills the line by a crack.`;
  if (open !== undefined) return open;
  return first
    ? "It lies lowest: the line fills from the foot and pushes the air ahead of it to the open vent. Crack it and wait."
    : "The line is full and the pressures are level: no surge when this one opens.";
}
