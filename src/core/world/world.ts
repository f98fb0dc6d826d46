import type { Flow, LineLink, Medium } from "../formats";
import { flowOf, MEDIA_RULES, mediumOf, type Network, pumpsWithoutWay, threeWays } from "../line";
import type { Harm } from "./harm";
import { LinePressures, type Snapshot } from "./line-pressures";
import { sameMap, sameSet } from "./same";
import type { Site } from "./site";
import type { Truth } from "./truth";
import { copied, sameValve, untouched, type ValveNow } from "./valve-now";

/** Above this a place is not at zero, bar gauge. */
const NOTHING_BAR = 0.02;

/** What a world keeps as sets of ids. */
const SETS = [
  "locks",
  "uncapped",
  "stopped",
  "points",
  "emptied",
  "told",
  "toldBack",
  "noted",
  "brought",
  "zeros",
  "dead",
  "air",
  "cold",
  "liquidOut",
  "tookOut",
  "leftToOthers",
  "reliedOn",
  "idle",
] as const satisfies readonly (keyof World)[];

const SCALARS = ["isOpen", "wasOpen", "temperatureProven", "tested", "halted", "agreed"] as const;

/**
 * The line and the valve as they stand at one moment of a plan. Acts change it in place: a proof runs one world from
 * the first act to the last.
 */
export class World {
  readonly valve: ValveNow;
  /** Links and stems by how they stand now; what is not named stands as on an ordinary day. */
  readonly shut = new Map<string, boolean>();
  readonly stems = new Map<string, string>();
  readonly locks = new Set<string>();
  readonly uncapped = new Set<string>();
  readonly stopped = new Set<string>();
  readonly points = new Set<string>();
  readonly emptied = new Set<string>();
  readonly told = new Set<string>();
  readonly toldBack = new Set<string>();
  readonly noted = new Set<string>();
  /** Parts that are there to go in new. */
  readonly brought = new Set<string>();
  /** Places at which zero was read since anything let pressure in. */
  readonly zeros = new Set<string>();
  readonly dead = new Set<string>();
  /** Places of a refrigerant that stood open and hold air. */
  readonly air = new Set<string>();
  /** Places of steam that were let out and are cold. */
  readonly cold = new Set<string>();
  /** Vessels whose liquid was let out before they were drawn down. */
  readonly liquidOut = new Set<string>();
  /** The valve was opened in this job; and a temperature was measured since. */
  wasOpen = false;
  temperatureProven = false;
  /** The last test that was made, while nothing was moved since. */
  tested: string | undefined;
  readonly harms: Harm[] = [];
  /** The gate that did not open: the plan goes no further, without harm. */
  halted = false;
  agreed = false;
  /** Consumers that this work takes service from, whoever else does, too. */
  readonly tookOut = new Set<string>();
  /** Consumers that the signature names as without by another job. */
  readonly leftToOthers = new Set<string>();
  /** What another job holds and this one counts on as well. */
  readonly reliedOn = new Set<string>();
  /** Pumps that have no way for what they move, as far as it was looked at. */
  readonly idle = new Set<string>();
  /** Locks of other jobs, with whose they are. */
  readonly theirs = new Map<string, string>();
  /** Pumps that had no way before this one began. */
  readonly idleBefore: ReadonlySet<string>;
  /** Consumers that other jobs had taken service from before this one began. */
  readonly dryBefore: ReadonlySet<string>;
  readonly #pressures: LinePressures;

  constructor(
    readonly site: Site,
    readonly truth: Truth = { kind: "none" },
    as?: World,
  ) {
    if (as !== undefined) {
      this.valve = copied(as.valve);
      this.dryBefore = as.dryBefore;
      this.idleBefore = as.idleBefore;
      this.#pressures = new LinePressures(this, as.#pressures);
      this.#standAs(as);
      return;
    }
    this.#pressures = new LinePressures(this);
    this.valve = untouched(truth.kind === "found-at" ? truth.position : site.sheet.position?.start);
    for (const [at, { job, position, open }] of site.others) {
      if (position === undefined) this.shut.set(at, open !== true);
      else this.stems.set(at, position);
      this.theirs.set(at, job);
    }
    this.settle();
    this.dryBefore = new Set(site.others.size === 0 ? [] : this.without());
    for (const { id } of this.pumpsWithoutWay()) this.idle.add(id);
    this.idleBefore = new Set(this.idle);
  }

  /** Another world that stands as this one does now, and goes its own way from here. */
  copy(truth = this.truth): World {
    return new World(this.site, truth, this);
  }

  /** All that what comes can depend on is the same: both go the same way, as far as they hide the same. */
  standsAs(other: World): boolean {
    return (
      SCALARS.every((name) => this[name] === other[name]) &&
      SETS.every((name) => sameSet(this[name], other[name])) &&
      sameValve(this.valve, other.valve) &&
      sameMap(this.shut, other.shut) &&
      sameMap(this.stems, other.stems) &&
      sameMap(this.theirs, other.theirs) &&
      this.#pressures.same(other.#pressures)
    );
  }

  /** How the line stands and what is known of it: two moments that say the same differ in the valve alone. */
  get lineNow(): string {
    const of = [this.shut, this.stems, this.points, this.zeros, this.dead, this.cold, this.air, this.emptied];
    return [this.isOpen, this.wasOpen, ...of.map((each) => [...each].join())].join("|");
  }

  #standAs(as: World): void {
    for (const name of SETS) for (const each of as[name]) this[name].add(each);
    for (const [at, shut] of as.shut) this.shut.set(at, shut);
    for (const [at, to] of as.stems) this.stems.set(at, to);
    for (const [at, job] of as.theirs) this.theirs.set(at, job);
    this.wasOpen = as.wasOpen;
    this.temperatureProven = as.temperatureProven;
    this.tested = as.tested;
    this.halted = as.halted;
    this.agreed = as.agreed;
  }

  hurt(harm: Harm): void {
    this.harms.push(harm);
  }

  /** Works the pressures out anew where what was done at the valve has opened or closed it. */
  settleWhereOpened(stoodOpen: boolean): void {
    if (this.isOpen !== stoodOpen) this.settle();
  }

  /** Works the pressures out anew, after anything on the line or at the valve was moved. */
  settle(): void {
    if (this.site.line === undefined) return;
    this.#pressures.settle();
    this.#forgetZeros();
    if (this.isOpen) this.wasOpen = true;
    this.#letAirIn();
  }

  /** The line as it is walked now; nothing where none is drawn. */
  get net(): Network | undefined {
    return this.#pressures.net;
  }

  /** A drain, a vent, an opened joint. */
  toAir(node: string): boolean {
    return this.points.has(node) || (this.site.zone.includes(node) && this.isOpen);
  }

  /** What stands open and holds a refrigerant no more holds air; what held steam is cold. */
  #letAirIn(): void {
    for (const { id } of this.net?.nodes ?? []) {
      if (!this.runsOut(id)) continue;
      const medium = this.medium(id);
      if (MEDIA_RULES[medium].refrigerant) this.air.add(id);
      if (medium === "steam") this.cold.add(id);
    }
  }

  snapshot(): Snapshot {
    return this.#pressures.snapshot();
  }

  /** Places on which an energy stands now and did not then, with the pressure they had, bar gauge. */
  reachedSince(before: Snapshot): { node: string; bar: number }[] {
    return this.#pressures.reachedSince(before);
  }

  /** What a gauge shows here. */
  reads(node: string): number {
    return this.bar(node) - (this.truth.kind === "gauge-reads-low" ? this.truth.bar : 0);
  }

  /** Places that something let in here gets to. */
  reachedFrom(node: string): string[] {
    return this.#pressures.reachedFrom(node);
  }

  /** Something is let in at a place, to this pressure. */
  fill(node: string, to_bar: number): void {
    this.#pressures.raise(
      this.reachedFrom(node).filter((each) => !this.isLive(each) && !this.points.has(each)),
      to_bar,
    );
    this.settle();
  }

  /** Something creeps in to what hangs together with this place, and goes on to wherever it can flow. */
  creepsIn(node: string, to_bar: number): void {
    this.#pressures.raise(this.#pressures.sharing(node), to_bar);
    this.settle();
    for (const read of this.zeros) if (this.underPressure(read)) this.zeros.delete(read);
  }

  /** Air is drawn out at a place, of all that can flow to it and has no way open. */
  drawAirOut(node: string): void {
    if (this.net === undefined || this.openPointsAt(node).length > 0) return;
    for (const each of this.air)
      if (each === node || this.#pressures.flows(each, node)) this.air.delete(each);
  }

  /** Whether a stop of the line stands open. */
  stands(link: string): boolean {
    const found = this.site.line?.links.find((each) => each.id === link);
    return found !== undefined && this.lets(found);
  }

  /** What a stop lets in: as the line says of it, or of where it comes from. */
  feedOf(id: string): Flow | undefined {
    const { line } = this.site;
    const link = line?.links.find((each) => each.id === id);
    if (line === undefined || link === undefined) return undefined;
    return flowOf(line, link);
  }

  /** A zero holds for as long as nothing stands on the place that was read. */
  #forgetZeros(): void {
    for (const node of this.zeros) if (this.isLive(node)) this.zeros.delete(node);
  }

  lets(link: LineLink): boolean {
    switch (link.kind) {
      case "valve":
        return !(this.shut.get(link.id) ?? link.normally === "shut");
      case "control-valve":
        return link.normally !== "shut";
      case "pump":
      case "pipe":
      case "cable":
      case "check":
      case "trap":
        return true;
    }
  }

  /** Anything of the valve that holds its medium back is off or cracked. */
  get isOpen(): boolean {
    const { off, cracked } = this.valve;
    return cracked.size > 0 || [...off].some((id) => this.holdsBack(id));
  }

  /** Whether pressure stands behind this part. */
  holdsBack(id: string): boolean {
    return this.site.holding.has(id);
  }

  bar(node: string): number {
    return this.#pressures.bar(node);
  }

  isLive(node: string): boolean {
    return this.#pressures.isLive(node);
  }

  /** What comes to this place runs out into the open. */
  runsOut(node: string): boolean {
    return this.#pressures.runsOut(node);
  }

  medium(node: string): Medium {
    const found = this.site.line?.nodes.find((each) => each.id === node);
    return found === undefined || this.site.line === undefined
      ? this.site.sheet.isolation.medium
      : mediumOf(this.site.line, found);
  }

  underPressure(node: string): boolean {
    return this.medium(node) !== "electricity" && this.bar(node) > NOTHING_BAR;
  }

  /** Nodes that are opened with the valve and hold a medium under pressure on some day. */
  get wet(): string[] {
    return this.site.zone.filter((node) => this.medium(node) !== "electricity");
  }

  get electric(): string[] {
    return this.site.zone.filter((node) => this.medium(node) === "electricity");
  }

  /** Whether zero at the place that was read says so of this place. */
  tells(read: string, of: string): boolean {
    const { net } = this;
    if (net?.nodeIndex.has(read) !== true || !net.nodeIndex.has(of)) return false;
    return (
      this.medium(read) === this.medium(of) &&
      (this.#pressures.sharing(of).includes(read) || this.#pressures.flows(of, read))
    );
  }

  /** Places that hang together with this one and stand open to the air. */
  openPointsAt(node: string): string[] {
    return this.#pressures.sharing(node).filter((each) => this.points.has(each));
  }

  /** The other job that holds this. */
  heldBy(at: string): string | undefined {
    return this.theirs.get(at);
  }

  /** Another job takes its lock off; what nobody holds any more stands as on an ordinary day. */
  letGo(at: string): void {
    this.theirs.delete(at);
    if (this.locks.has(at)) return;
    this.shut.delete(at);
    this.stems.delete(at);
  }

  /** Pumps that have no way for what they move, as the line stands. */
  pumpsWithoutWay(): LineLink[] {
    const { net } = this;
    if (net === undefined || net.pumps.length === 0) return [];
    return pumpsWithoutWay(net, (link) => this.lets(link)).map((index) => net.links[index]!);
  }

  /** Consumers that are fed on an ordinary day and are not now, whoever shut what. */
  without(): string[] {
    return this.site.served.filter((node) => !this.isLive(node));
  }

  /** A cap sits over this stem, and is on. */
  cappedStem(node: string): boolean {
    const found = this.site.line && threeWays(this.site.line).find((each) => each.id === node);
    return found?.threeWay.capped === true && !this.uncapped.has(node);
  }

  /** The position a stem stands in. */
  stemAt(node: string): string | undefined {
    const found = this.site.line && threeWays(this.site.line).find((each) => each.id === node);
    return this.stems.get(node) ?? found?.threeWay.normally;
  }
}
