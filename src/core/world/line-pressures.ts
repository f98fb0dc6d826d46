import type { Line, LineLink } from "../formats";
import { type Network, network, type Positions, standing } from "../line";
import { flowsTo, type Pressures, reaching, type Standing, settle, sharing } from "./water";

/** What the pressures of a line follow from, as it stands at this moment. */
export interface LineStands {
  readonly site: { readonly line?: Line };
  readonly stems: Positions;
  /** Vessels that were pumped down. */
  readonly emptied: ReadonlySet<string>;
  lets(link: LineLink): boolean;
  toAir(node: string): boolean;
}

/** How pressures stood before an act. */
export interface Snapshot {
  readonly net: Network | undefined;
  readonly pressures: Pressures | undefined;
}

/** Which pressure stands where on a line, by the ids of its nodes; bar gauge. Nothing where no line is drawn. */
export class LinePressures {
  readonly #of: LineStands;
  #standing: Standing | undefined;
  #pressures: Pressures | undefined;
  #laidOut: { readonly key: string; readonly net: Network } | undefined;
  /** What stood at nodes of a line that was walked otherwise before. */
  readonly #kept: Map<string, number>;

  constructor(of: LineStands, as?: LinePressures) {
    this.#of = of;
    this.#kept = new Map(as === undefined ? [] : as.#kept);
    this.#laidOut = as === undefined ? undefined : as.#laidOut;
    if (as === undefined || as.#standing === undefined || as.#pressures === undefined) return;
    this.#standing = this.#standingOn(as.#standing.net);
    const { bar, live, drained } = as.#pressures;
    this.#pressures = { bar: bar.slice(), live: live.slice(), drained: drained.slice() };
  }

  /** The line as it is walked now. */
  get net(): Network | undefined {
    return this.#standing?.net;
  }

  /** Works them out anew, after anything was moved. */
  settle(): void {
    const { line } = this.#of.site;
    if (line === undefined) return;
    const net = this.#network(line);
    const before = this.#bars(net);
    this.#standing = this.#standingOn(net);
    this.#pressures = settle(this.#standing, before);
  }

  bar(node: string): number {
    const index = this.#index(node);
    return index === undefined ? 0 : this.#pressures!.bar[index]!;
  }

  isLive(node: string): boolean {
    const index = this.#index(node);
    return index !== undefined && this.#pressures!.live[index] === 1;
  }

  /** What comes to this place runs out into the open. */
  runsOut(node: string): boolean {
    const index = this.#index(node);
    return index !== undefined && this.#pressures!.drained[index] === 1;
  }

  /** Sets what stands at these places, until the next settling. */
  raise(nodes: readonly string[], to_bar: number): void {
    for (const node of nodes) {
      const index = this.#index(node);
      if (index !== undefined) this.#pressures!.bar[index] = to_bar;
    }
  }

  /** Places that something let in here gets to. */
  reachedFrom(node: string): string[] {
    return this.#named(node, reaching);
  }

  /** Places that hang together with this one, and share its pressure. */
  sharing(node: string): string[] {
    return this.#named(node, sharing);
  }

  flows(from: string, to: string): boolean {
    const [a, b] = [this.#index(from), this.#index(to)];
    return (
      a !== undefined && b !== undefined && this.#standing !== undefined && flowsTo(this.#standing, a, b)
    );
  }

  snapshot(): Snapshot {
    return { net: this.net, pressures: this.#pressures };
  }

  /** Places on which an energy stands now and did not then, with the pressure they had. */
  reachedSince({ net, pressures }: Snapshot): { node: string; bar: number }[] {
    if (net === undefined || pressures === undefined) return [];
    return net.nodes.flatMap(({ id }, index) =>
      pressures.live[index] === 0 && this.isLive(id) ? [{ node: id, bar: pressures.bar[index]! }] : [],
    );
  }

  /** On lines that stand alike: the same stands everywhere. */
  same(other: LinePressures): boolean {
    const [ours, theirs] = [this.#pressures, other.#pressures];
    if (ours === undefined || theirs === undefined) return ours === theirs;
    const alike = (name: keyof Pressures) => ours[name].every((each, index) => each === theirs[name][index]);
    const gone = [...this.#kept].filter(([node]) => this.#index(node) === undefined);
    return (
      alike("bar") &&
      alike("live") &&
      alike("drained") &&
      gone.every(([node, bar]) => other.#kept.get(node) === bar)
    );
  }

  #index(node: string): number | undefined {
    return this.net?.nodeIndex.get(node);
  }

  #named(node: string, walk: (standing: Standing, from: number) => readonly number[]): string[] {
    const index = this.#index(node);
    if (index === undefined || this.#standing === undefined) return [];
    const { nodes } = this.#standing.net;
    return walk(this.#standing, index).map((each) => nodes[each]!.id);
  }

  #standingOn(net: Network): Standing {
    const of = this.#of;
    return { net, lets: (link) => of.lets(link), toAir: (node) => of.toAir(node), empty: of.emptied };
  }

  #network(line: Line): Network {
    const key = [...this.#of.stems].join();
    if (this.#laidOut?.key !== key) this.#laidOut = { key, net: network(standing(line, this.#of.stems)) };
    return this.#laidOut.net;
  }

  /** What stood at each node; a line that is walked otherwise than before has its nodes in another order. */
  #bars(net: Network): Float64Array {
    const stood = this.net;
    const bar = this.#pressures?.bar;
    if (bar !== undefined && stood === net) return bar;
    stood?.nodes.forEach(({ id }, index) => {
      this.#kept.set(id, bar![index]!);
    });
    return Float64Array.from(net.nodes, ({ id }) => this.#kept.get(id) ?? 0);
  }
}
