import { mediumOf, type Network } from "../line";
import type { Act, Bleed, Bypass, Closure, PumpAt, Turned } from "./plan";
import type { Section } from "./section";
import { rankOf } from "./stream-order";

interface Made {
  readonly net: Network;
  readonly closures: readonly Closure[];
  readonly turned: readonly Turned[];
  readonly bleeds: readonly Bleed[];
  readonly section: Section;
  readonly bypasses: readonly Bypass[];
  readonly pumps: readonly PumpAt[];
  readonly pumpedOut: readonly { readonly node: string; readonly name: string }[];
}

/** Streams that are shut before a vessel is drawn down, and those that draw it down. */
const DRAWS_DOWN_AT = rankOf("suction");

/** Pumps and electricity, then stream by stream, from the feed on; bleeds when both barriers stand. */
export function shuttingOrder({ closures, turned, bleeds, bypasses, pumps, pumpedOut }: Made): Act[] {
  const shut = (closure: Closure, index: number): Act => ({
    kind: closure.medium === "electricity" ? "switch-off" : "shut",
    id: closure.link,
    name: closure.name,
    why: { kind: "shut-in-order", stream: closure.stream, first: index === 0 },
  });
  const before = closures.filter((each) => rankOf(each.stream) < DRAWS_DOWN_AT);
  const after = closures.filter((each) => rankOf(each.stream) >= DRAWS_DOWN_AT);
  return [
    ...bypasses.map((each) => roundAbout("open-bypass", each)),
    ...pumps.map(
      (pump): Act => ({
        kind: "stop-pump",
        id: pump.link,
        name: pump.name,
        why: { kind: pump.idle === true ? "would-run-against" : "pumps-first" },
      }),
    ),
    ...before.map(shut),
    ...pumpedOut.map(
      (vessel): Act => ({
        kind: "pump-out",
        id: vessel.node,
        name: vessel.name,
        why: { kind: "still-drawn-down" },
      }),
    ),
    ...turned.map(
      (valve): Act => ({
        kind: valve.stands === true ? "hold-stem" : "turn",
        id: valve.node,
        name: `${valve.name}: ${valve.to.name}`,
        why: { kind: "shuts-off-what-is-opened" },
      }),
    ),
    ...after.map((closure, index) => shut(closure, before.length + index)),
    ...bleeds.map(
      (bleed): Act => ({
        kind: "open-bleed",
        id: bleed.node,
        name: bleed.name,
        why: { kind: "bleeds-between", between: bleed.between },
      }),
    ),
  ];
}

const roundAbout = (kind: "open-bypass" | "shut-bypass", { link, name, keeps }: Bypass): Act => ({
  kind,
  id: link,
  name,
  why:
    kind === "shut-bypass"
      ? { kind: "as-it-stood" }
      : { kind: "keeps-in-service", names: keeps.map((each) => each.name) },
});

/** Bleeds and drain shut, three-way valves back, then stream by stream in reverse; of one stream the lowest first. */
export function restoringOrder({ net, closures, turned, bleeds, section, bypasses, pumps }: Made): Act[] {
  const inside = new Set(section.nodes);
  const height = (closure: Closure) => {
    const { from, to } = net.links[net.linkIndex.get(closure.link)!]!;
    return net.nodes[net.nodeIndex.get(inside.has(from) ? from : to)!]!.elevation_m;
  };
  const order = closures
    .map((closure, place) => ({ closure, place }))
    .sort(
      (a, b) =>
        rankOf(b.closure.stream) - rankOf(a.closure.stream) ||
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
        ? { kind: "stands-shut" }
        : {
            kind: "opened-in-order",
            stream: closure.stream,
            first,
            inner: bleeds.length > 0 && closure.barrier === "inner",
          },
    };
  };
  const { drain } = section;
  // It was opened to let air in as the section ran out: without a drain nobody opened it.
  const vent = drain === undefined ? undefined : section.vent?.node;
  const ventNode = vent === undefined ? undefined : net.nodes[net.nodeIndex.get(vent)!]!;
  const shutVent: Act | undefined = ventNode && {
    kind: "shut-vent",
    id: ventNode.id,
    name: ventNode.name ?? ventNode.id,
    why: { kind: mediumOf(net.line, ventNode) === "water" ? "when-the-air-is-out" : "leads-outside" },
  };
  // Only water pushes air out ahead of it: whatever else comes back finds every way out shut.
  const airOutAt =
    ventNode !== undefined && mediumOf(net.line, ventNode) === "water"
      ? order.find(
          (each) =>
            each.medium === "water" && !each.standsShut && (bleeds.length === 0 || each.barrier === "outer"),
        )
      : undefined;
  const drainName = drain && (net.nodes[net.nodeIndex.get(drain.node)!]!.name ?? drain.node);
  return [
    ...bleeds.map(
      (bleed): Act => ({
        kind: "shut-bleed",
        id: bleed.node,
        name: bleed.name,
        why: { kind: "leads-outside" },
      }),
    ),
    ...(drain && drainName !== undefined
      ? [
          {
            kind: "shut-drain" as const,
            id: drain.node,
            name: drainName,
            why: { kind: "before-the-medium" as const },
          },
        ]
      : []),
    ...(shutVent === undefined || airOutAt !== undefined ? [] : [shutVent]),
    ...turned.map(
      (valve): Act => ({
        kind: valve.stands === true ? "leave-stem" : "turn-back",
        id: valve.node,
        name: `${valve.name}: ${valve.from.name}`,
        why: { kind: valve.stands === true ? "stands-so" : "as-it-stood" },
      }),
    ),
    ...order.flatMap((closure) =>
      closure === airOutAt && shutVent !== undefined
        ? [{ ...open(closure), airOut: shutVent.id }, shutVent]
        : [open(closure)],
    ),
    ...pumps.map(
      (pump): Act => ({
        kind: "start-pump",
        id: pump.link,
        name: pump.name,
        why: { kind: "pumps-last" },
      }),
    ),
    ...bypasses.map((each) => roundAbout("shut-bypass", each)),
  ];
}
