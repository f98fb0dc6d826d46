import type { Line, LineValve } from "../formats";
import { checkLine, energies, fed, type Network, network, standsShut } from "../line";
import { err, ok, type Problem, type Result } from "../result";
import { closingMinutes, type Unfit, unfitness } from "./barrier";
import { leastCut } from "./cut";
import { unfitWords } from "./messages";
import { type Section, shutInSection } from "./section";
import { type Walk, walkFrom, wayBack } from "./walk";

export interface IsolationDemand {
  /** Ids of nodes or links that will be open to a person. */
  readonly open: readonly string[];
  /** Valves found to pass today, beside those the line knows of. */
  readonly passing?: readonly string[];
  readonly avoid?: readonly string[];
  /** Consumers to keep in service. */
  readonly keep?: readonly string[];
}

export interface Closure {
  readonly link: string;
  readonly name: string;
  readonly where?: string;
  readonly minutes: number;
  readonly lockable: boolean;
  readonly turns?: number;
  /** It stands shut on an ordinary day: check it, lock it, and leave it shut afterwards. */
  readonly standsShut: boolean;
  readonly why: string;
}

export interface LostConsumer {
  readonly node: string;
  readonly name: string;
  readonly hydrant: boolean;
  readonly protects: boolean;
}

export interface IsolationPlan {
  readonly closures: readonly Closure[];
  readonly minutes: number;
  /** False when the search stopped at its bound: then a cheaper plan may exist, but this one is safe. */
  readonly exact: boolean;
  /** Ids in the order to open again, with the reason. */
  readonly reopen: readonly { readonly link: string; readonly why: string }[];
  readonly section: Section;
  readonly lost: readonly LostConsumer[];
  readonly pumps: readonly { readonly link: string; readonly name: string }[];
}

export interface PathStep {
  readonly id: string;
  readonly name: string;
}

export type IsolationFailure =
  | { readonly kind: "bad-line"; readonly problems: readonly Problem[] }
  | { readonly kind: "nothing-to-open" }
  /** The line asks for more than this planner can give; a single barrier passed off as enough would be worse. */
  | { readonly kind: "rule-not-planned"; readonly rule: string }
  | { readonly kind: "unknown-place"; readonly name: string }
  | {
      readonly kind: "no-isolation";
      readonly openPath: readonly PathStep[];
      readonly makeGood: readonly (PathStep & { readonly unfit: Unfit })[];
    };

/** What to shut so that no energy of this line reaches what is opened; see `leastCut` for the optimum and tie-break. */
export function planIsolation(line: Line, demand: IsolationDemand): Result<IsolationPlan, IsolationFailure> {
  const problems = checkLine(line);
  if (problems.length > 0) return err({ kind: "bad-line", problems });
  return planOn(network(line), demand);
}

/** The same on a line already laid out. */
export function planOn(net: Network, demand: IsolationDemand): Result<IsolationPlan, IsolationFailure> {
  if (demand.open.length === 0) return err({ kind: "nothing-to-open" });
  if (net.line.rule !== "single") return err({ kind: "rule-not-planned", rule: net.line.rule });
  const zone = placesOf(net, demand.open);
  if (!zone.ok) return zone;
  const kept = placesOf(net, demand.keep ?? []);
  if (!kept.ok) return kept;
  const avoided = (demand.avoid ?? []).find((id) => !net.linkIndex.has(id));
  const unknownPassing = (demand.passing ?? []).find((id) => !net.linkIndex.has(id));
  if (avoided !== undefined || unknownPassing !== undefined)
    return err({ kind: "unknown-place", name: (avoided ?? unknownPassing)! });
  const passing = new Set(demand.passing);
  const avoid = new Set(demand.avoid);
  const cut = leastCut(net, { zone: zone.value, passing, avoid, keepLive: kept.value });
  const unfit = (index: number) => unfitness(net.links[index]!, passing, avoid);
  if (cut.kind === "impossible")
    return err({
      kind: "no-isolation",
      openPath: openPath(net, zone.value, (index) => unfit(index) !== undefined),
      makeGood: cut.makeGood.flatMap((index) => {
        const why = unfit(index);
        return why === undefined ? [] : [{ ...named(net, index), unfit: why }];
      }),
    });
  const closed = new Set(cut.links);
  const supply = walkFrom(net, energies(net), (link) => !closed.has(link));
  const open = zone.value.find((node) => supply.distance[node] !== -1);
  if (open !== undefined)
    throw new Error(
      `closing ${cut.links.map((index) => net.links[index]!.id)} leaves ${net.nodes[open]!.id} live`,
    );
  return ok(describe(net, zone.value, closed, supply, unfit, cut.exact));
}

function placesOf(net: Network, ids: readonly string[]): Result<number[], IsolationFailure> {
  const places: number[] = [];
  for (const id of ids) {
    const node = net.nodeIndex.get(id) ?? nodeOfAsset(net, id);
    const link = net.linkIndex.get(id);
    if (node !== undefined) places.push(node);
    else if (link !== undefined) places.push(net.from[link]!, net.to[link]!);
    else return err({ kind: "unknown-place", name: id });
  }
  return ok([...new Set(places)]);
}

function nodeOfAsset(net: Network, tag: string): number | undefined {
  const found = net.nodes.findIndex((node) => node.asset === tag);
  return found === -1 ? undefined : found;
}

const named = (net: Network, link: number): PathStep => {
  const { id, name } = net.links[link]!;
  return { id, name: name === undefined ? id : `${id} ${name}` };
};

function describe(
  net: Network,
  zone: readonly number[],
  closed: ReadonlySet<number>,
  supply: Walk,
  unfit: (link: number) => Unfit | undefined,
  exact: boolean,
): IsolationPlan {
  const section = shutInSection(net, zone, closed);
  const inside = new Set(section.nodes);
  const holds = (link: number) => closed.has(link);
  const walks = { supply, work: walkFrom(net, zone, (link) => !holds(link)), holds };
  const order = [...closed].sort((a, b) => fromSupply(net, supply, a) - fromSupply(net, supply, b) || a - b);
  const closures = order.map((index) => closureOf(net, index, inside, walks, unfit));
  const reopen = [...order]
    .sort(
      (a, b) =>
        insideHeight(net, a, inside) - insideHeight(net, b, inside) || order.indexOf(a) - order.indexOf(b),
    )
    .map((index, place) => ({
      link: net.links[index]!.id,
      why:
        place === 0
          ? "It lies lowest: the line fills from the foot and pushes the air ahead of it to the open vent. Crack it and wait."
          : "The line is full and the pressures are level: no surge when this one opens.",
    }));
  return {
    closures,
    minutes: closures.reduce((sum, each) => sum + each.minutes, 0),
    exact,
    reopen,
    section,
    lost: lostConsumers(net, closed),
    pumps: net.links.flatMap((link) =>
      link.kind === "pump" && (inside.has(link.from) || inside.has(link.to))
        ? [{ link: link.id, name: link.name ?? link.id }]
        : [],
    ),
  };
}

/** Links from the nearest energy to the live end of a closure; a dead end on both sides comes last. */
const fromSupply = (net: Network, { distance }: Walk, link: number) =>
  Math.max(distance[net.from[link]!]!, distance[net.to[link]!]!);

const insideHeight = (net: Network, link: number, inside: ReadonlySet<string>) => {
  const { from, to } = net.links[link]!;
  return net.nodes[net.nodeIndex.get(inside.has(from) ? from : to)!]!.elevation_m;
};

/** One closure with its reason: what it cuts the work off from, and which nearer valve could not be used. */
function closureOf(
  net: Network,
  index: number,
  inside: ReadonlySet<string>,
  { supply, work, holds }: { supply: Walk; work: Walk; holds: (link: number) => boolean },
  unfit: (link: number) => Unfit | undefined,
): Closure {
  const link = net.links[index] as LineValve;
  const [inner, outer] = (inside.has(link.from) ? [link.from, link.to] : [link.to, link.from]).map(
    (id) => net.nodeIndex.get(id)!,
  ) as [number, number];
  const feeder = net.nodes[supply.origin[outer]!];
  const skipped = wayBack(net, work, inner, (each) => !holds(each)).flatMap(({ link: passed }) => {
    const why = unfit(passed);
    return why === "seized" || why === "passes" || why === "avoided"
      ? [`${net.links[passed]!.id}, which ${unfitWords(why)}`]
      : [];
  });
  return {
    link: link.id,
    name: link.name ?? link.id,
    ...(link.where !== undefined && { where: link.where }),
    minutes: closingMinutes(link),
    lockable: link.lockable,
    ...(link.turns !== undefined && { turns: link.turns }),
    standsShut: standsShut(link),
    why: [
      feeder === undefined
        ? "Keeps pressure from coming back along this pipe"
        : `Cuts the work off from ${feeder.name ?? feeder.id}`,
      skipped.length > 0 ? `; taken instead of ${skipped.join(" and ")}` : "",
      link.hardToReach ? `; ${link.hardToReach}` : "",
      link.lockable ? "" : "; it has no lock point: chain it, tag it and tell the crew",
      ".",
    ].join(""),
  };
}

function lostConsumers(net: Network, closed: ReadonlySet<number>): LostConsumer[] {
  const before = fed(net, new Set());
  const after = fed(net, new Set([...closed].map((index) => net.links[index]!.id)));
  return net.nodes.flatMap((node, index) =>
    node.kind === "consumer" && before[index] && !after[index]
      ? [
          {
            node: node.id,
            name: node.name ?? node.id,
            hydrant: node.hydrant === true,
            protects: node.protects === true,
          },
        ]
      : [],
  );
}

/** A path over links that cannot be shut, from an energy to the zone: the reason there is no plan. */
function openPath(net: Network, zone: readonly number[], unshuttable: (link: number) => boolean): PathStep[] {
  const walk = walkFrom(net, zone, unshuttable);
  const start = energies(net).find((node) => walk.distance[node] !== -1);
  if (start === undefined) return [];
  const name = (node: number) => ({
    id: net.nodes[node]!.id,
    name: net.nodes[node]!.name ?? net.nodes[node]!.id,
  });
  const way = wayBack(net, walk, start, unshuttable);
  const valves = way.flatMap(({ link }) => (net.links[link]!.kind === "pipe" ? [] : [named(net, link)]));
  return [name(start), ...valves, name(way.at(-1)?.node ?? start)];
}
