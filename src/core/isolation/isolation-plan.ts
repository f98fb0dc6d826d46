import type { Line, LineNode } from "../formats";
import {
  checkLine,
  fed,
  isThreeWay,
  type Network,
  network,
  originOf,
  type Positions,
  pumpsWithoutWay,
  reachable,
  standing,
  standsShut,
  type ThreeWayNode,
  threeWays,
} from "../line";
import { err, ok, type Result } from "../result";
import { closingMinutes, unfitness } from "./barrier";
import { between } from "./bleed";
import { bypassesFor } from "./bypasses";
import { closuresOf } from "./closures";
import { type Cut, leastCut } from "./cut";
import { outageMinutes } from "./cut-problem";
import { lockedPieces } from "./locked-pieces";
import { asleep, coldAlone, lostConsumers } from "./lost";
import { openPath, stepAt } from "./open-path";
import { restoringOrder, shuttingOrder } from "./order";
import { permitsFor } from "./permits";
import type { Bypass, IsolationDemand, IsolationFailure, IsolationPlan, PumpAt, Turned } from "./plan";
import { provePoints } from "./prove";
import { unprotectedVessels } from "./relief";
import { type Section, shutInSection } from "./section";
import { storedEnergies } from "./stored";
import { turnings } from "./three-way";
import { feedFinder, walkFrom } from "./walk";

/** What to shut so that no energy of this line reaches what is opened; see `leastCut` for the optimum and tie-break. */
export function planIsolation(line: Line, demand: IsolationDemand): Result<IsolationPlan, IsolationFailure> {
  const problems = checkLine(line);
  return problems.length > 0 ? err({ kind: "bad-line", problems }) : planOn(line, demand);
}

/**
 * The same on a line that was checked already. Three-way valves are tried in every position; the cheapest plan counts
 * that leaves every vessel a relief valve.
 *
 * @param laidOut the network of this very line, where the caller keeps one
 */
export function planOn(
  line: Line,
  demand: IsolationDemand,
  laidOut: Network = network(line),
): Result<IsolationPlan, IsolationFailure> {
  if (demand.open.length === 0) return err({ kind: "nothing-to-open" });
  const unknown = unknownName(laidOut, demand);
  if (unknown !== undefined) return err({ kind: "unknown-place", name: unknown });
  const passing = new Set(demand.passing);
  const pumped = pumpedOut(line, demand.pumpedOut ?? []);
  const ways = turnings(pumped, demand);
  let best: { plan: IsolationPlan; cost: number } | undefined;
  let failure: IsolationFailure | undefined;
  for (const positions of ways.choices) {
    const stood = standing(pumped, positions, passing);
    const net = stood === line ? laidOut : network(stood);
    const tried = planStanding(net, line, positions, demand, best?.cost);
    if (tried === "too-dear") continue;
    if (!tried.ok) {
      // A vessel without its relief valve says more than a path that one position leaves open.
      if (failure === undefined || tried.error.kind === "unprotected") failure = tried.error;
    } else if (best === undefined || tried.value.cost < best.cost - 1e-9) best = tried.value;
  }
  if (best === undefined) return err(failure!);
  return ok({ ...best.plan, exact: best.plan.exact && ways.whole });
}

/** @param below a cost that is reached already: what closing and turning alone make as dear is not worked out further */
function planStanding(
  net: Network,
  line: Line,
  positions: Positions,
  demand: IsolationDemand,
  below = Number.POSITIVE_INFINITY,
): Result<{ plan: IsolationPlan; cost: number }, IsolationFailure> | "too-dear" {
  const passing = new Set(demand.passing);
  const avoid = new Set(demand.avoid);
  const double = net.line.rule === "double-block-and-bleed";
  const unfit = (index: number) => unfitness(net.links[index]!, passing, avoid);
  let zone = placesOf(net, [...demand.open, ...(demand.pumpedOut ?? [])]);
  let cut: Cut;
  for (;;) {
    const task = { zone, passing, avoid, keepLive: placesOf(net, demand.keep ?? []), double };
    cut = leastCut(net, task);
    if (cut.kind === "impossible") {
      const second = double && leastCut(net, { ...task, double: false }).kind === "found";
      const path = openPath(net, zone, (index) => unfit(index) !== undefined);
      const head = path[0] === undefined ? undefined : net.nodes[net.nodeIndex.get(path[0].id)!];
      return err({
        kind: "no-isolation",
        openPath: path,
        second,
        makeGood: cut.makeGood.flatMap((index) => {
          const why = unfit(index);
          return why === undefined ? [] : [{ ...stepAt(net, index), unfit: why }];
        }),
        ...(head?.kind === "vessel" && { pumpOut: path[0]! }),
      });
    }
    if (cut.kind === "no-bleed")
      return err({
        kind: "no-bleed",
        inner: cut.inner.map((link) => stepAt(net, link)),
        outer: cut.outer.map((link) => stepAt(net, link)),
      });
    // A pump that can push into the open section is switched off and locked: its motor is opened with it.
    const closed = new Set([...cut.inner, ...cut.outer]);
    const wider = withMotors(net, zone, closed);
    if (wider.length === zone.length) break;
    zone = wider;
  }
  const closed = new Set([...cut.inner, ...cut.outer]);
  const atLeast = [
    ...[...closed].flatMap((index) => {
      const link = net.links[index]!;
      return link.kind === "valve" ? [closingMinutes(link)] : [];
    }),
    ...turnedIn(line, positions).map((each) => each.minutes),
  ].reduce((sum, each) => sum + each, 0);
  if (atLeast >= below) return "too-dear";
  const holds = (link: number) => closed.has(link);
  const reached = reachable(net, zone, (link) => !holds(link)).find(
    (node) => net.towardsEnergy[node] === node,
  );
  if (reached !== undefined)
    throw new Error(
      `closing ${[...closed].map((index) => net.links[index]!.id)} leaves ${net.nodes[reached]!.id} on the work`,
    );
  const bare = unprotectedVessels(net, line, closed, demand.pumpedOut ?? []);
  if (bare.length > 0) return err({ kind: "unprotected", vessels: bare });

  const section = shutInSection(net, zone, closed);
  const pieces = double ? between(net, cut.sides) : [];
  const { closures, bleeds } = closuresOf(net, {
    zone,
    inner: cut.inner,
    outer: cut.outer,
    pieces,
    section,
    unfit,
  });
  const turned = [...turnedIn(line, positions), ...holdingStems(net, line, positions, section)];
  const after = fed(net, new Set([...closed].map((index) => net.links[index]!.id)));
  const shut = new Set([...closed].map((index) => net.links[index]!.id));
  const dry = lostConsumers(net, line, after, zone);
  const bypasses = bypassesFor(net, shut, zone, dry, avoid);
  const kept = new Set(bypasses.flatMap(({ keeps }) => keeps));
  const without = dry.filter((each) => !kept.has(each));
  const lost = [...without, ...asleep(net, shut, zone), ...coldAlone(net, after, shut, dry)];
  const pumps = pumpsAt(net, section, { shut, bypasses });
  const minutes =
    closures.reduce((sum, each) => sum + each.minutes, 0) +
    turned.reduce((sum, each) => sum + (each.stands === true ? 0 : each.minutes), 0) +
    bypasses.reduce((sum, each) => sum + each.minutes, 0);
  const pumped = (demand.pumpedOut ?? []).map((id) => ({ node: id, name: nameOf(line, id) }));
  const made = { net, closures, turned, bleeds, section, bypasses, pumps, pumpedOut: pumped };
  const plan: IsolationPlan = {
    closures,
    turned,
    bleeds,
    minutes,
    exact: cut.exact,
    shutting: shuttingOrder(made),
    restoring: restoringOrder(made),
    section,
    lost,
    bypasses,
    pumps,
    pumpedOut: pumped,
    prove: provePoints(net, zone, section, closed),
    locked: lockedPieces(net, { closed, section, bleeds }),
    stored: storedEnergies(net, zone, section, feeders(net, closed, section, turned)),
    permits: permitsFor(net, zone, closures, section),
  };
  const outages = without.reduce(
    (sum, each) => sum + outageMinutes(net.nodes[net.nodeIndex.get(each.node)!]!),
    0,
  );
  return ok({ plan, cost: minutes + outages });
}

/** Motors of pumps that stand in what is shut in join what is opened. */
function withMotors(net: Network, zone: readonly number[], closed: ReadonlySet<number>): number[] {
  if (net.pumps.length === 0) return [...zone];
  const inside = walkFrom(net, zone, (link) => !closed.has(link)).distance;
  const motors = net.pumps.flatMap((index) => {
    const link = net.links[index]!;
    if (link.kind !== "pump" || link.motor === undefined) return [];
    const stands = inside[net.from[index]!] !== -1 || inside[net.to[index]!] !== -1;
    return stands ? [net.nodeIndex.get(link.motor)!] : [];
  });
  return [...new Set([...zone, ...motors])];
}

/** Pumps that stand in what is shut in, and those that have a way on an ordinary day and none while it is shut. */
function pumpsAt(
  net: Network,
  section: Section,
  { shut, bypasses }: { readonly shut: ReadonlySet<string>; readonly bypasses: readonly Bypass[] },
): PumpAt[] {
  if (net.pumps.length === 0) return [];
  const inside = new Set(section.nodes);
  const round = new Set(bypasses.map(({ link }) => link));
  const usual = new Set(pumpsWithoutWay(net, (link) => !standsShut(link)));
  const idle = new Set(
    pumpsWithoutWay(net, (link) => round.has(link.id) || !(shut.has(link.id) || standsShut(link))),
  );
  return net.pumps.flatMap((index): PumpAt[] => {
    const { id, name = id, from, to } = net.links[index]!;
    if (inside.has(from) || inside.has(to)) return [{ link: id, name }];
    return idle.has(index) && !usual.has(index) ? [{ link: id, name, idle: true }] : [];
  });
}

/** Nodes of the named places: a link stands for both its ends, a three-way valve for all its ports. */
function placesOf(net: Network, ids: readonly string[]): number[] {
  const places = new Set<number>();
  const add = (index: number) => {
    if (places.has(index)) return;
    places.add(index);
    for (const id of net.nodes[index]!.with ?? []) for (const each of nodesNamed(net, id)) add(each);
  };
  for (const id of ids) {
    const link = net.linkIndex.get(id);
    for (const node of nodesNamed(net, id)) add(node);
    if (link !== undefined) {
      add(net.from[link]!);
      add(net.to[link]!);
      const pump = net.links[link]!;
      if (pump.kind === "pump" && pump.motor !== undefined) add(net.nodeIndex.get(pump.motor)!);
    }
  }
  return [...places];
}

function nodesNamed(net: Network, id: string): number[] {
  const index = net.nodeIndex.get(id) ?? net.assetIndex.get(id);
  if (index === undefined) return [];
  if (!isThreeWay(net.nodes[index]!)) return [index];
  return net.nodes.flatMap((node, each) =>
    originOf(node.id) === originOf(net.nodes[index]!.id) ? [each] : [],
  );
}

function unknownName(net: Network, demand: IsolationDemand): string | undefined {
  const asked = [demand.open, demand.keep, demand.avoid, demand.passing, demand.pumpedOut].flatMap(
    (names) => names ?? [],
  );
  return asked.find(
    (name) => !net.nodeIndex.has(name) && !net.assetIndex.has(name) && !net.linkIndex.has(name),
  );
}

/** A vessel that is pumped out holds what it holds, but pushes nothing. */
export function pumpedOut(line: Line, ids: readonly string[]): Line {
  if (ids.length === 0) return line;
  const out = new Set(ids);
  const empty = (node: LineNode): LineNode =>
    out.has(node.id)
      ? { ...node, kind: node.kind === "vessel" ? "junction" : node.kind, feedsBack: false }
      : node;
  return { ...line, nodes: line.nodes.map(empty) };
}

/** Three-way valves that are turned for the work. */
const turnedIn = (line: Line, positions: Positions): Turned[] =>
  threeWays(line).flatMap((node) => {
    const to = positions.get(node.id);
    return to === undefined || to === node.threeWay.normally ? [] : [turnedTo(node, to)];
  });

/** Three-way valves that shut the section off as they stand: nobody may turn them meanwhile. */
function holdingStems(net: Network, line: Line, positions: Positions, { nodes }: Section): Turned[] {
  const inside = new Set(nodes);
  return threeWays(line).flatMap((node) => {
    const { normally } = node.threeWay;
    const ports = net.nodes.filter(({ id }) => originOf(id) === node.id);
    const parts = ports.some(({ id }) => inside.has(id)) && ports.some(({ id }) => !inside.has(id));
    return parts && (positions.get(node.id) ?? normally) === normally
      ? [{ ...turnedTo(node, normally), stands: true }]
      : [];
  });
}

function turnedTo(node: ThreeWayNode, to: string): Turned {
  const { positions, normally, where, access_min, lockable, capped } = node.threeWay;
  const named = (id: string) => positions.find((each) => each.id === id)!;
  return {
    node: node.id,
    name: node.name ?? node.id,
    ...(where !== undefined && { where }),
    from: named(normally),
    to: named(to),
    minutes: access_min,
    lockable,
    ...(capped === true && { capped: true }),
  };
}

/** Energies that stand right behind the barriers: what they hold is what the work would meet. */
function feeders(
  net: Network,
  closed: ReadonlySet<number>,
  section: Section,
  turned: readonly Turned[],
): number[] {
  const inside = new Set(section.nodes);
  const feed = feedFinder(net, (link) => closed.has(link));
  const behind = [...closed].flatMap((link) => [net.from[link]!, net.to[link]!]);
  const stems = net.stems.filter((node) =>
    turned.some((each) => each.node === originOf(net.nodes[node]!.id)),
  );
  const outside = [...behind, ...stems].filter((node) => !inside.has(net.nodes[node]!.id));
  return [...new Set(outside.flatMap((node) => feed(node)?.energy ?? []))];
}

const nameOf = (line: Line, id: string) => line.nodes.find((node) => node.id === id)?.name ?? id;
