import {
  type Act,
  differences,
  type EndDifference,
  type Harm,
  pass,
  perform,
  type Site,
  type Truth,
  World,
} from "../world";
import type { Plan } from "./compile";
import type { Step } from "./step";
import { actsOf } from "./step-rules";
import { beginsAt, spentAt } from "./truth-span";

/** Something that goes wrong when a plan is done on the line and the valve as they are. */
export interface Found {
  readonly harm: Harm;
  /** The card it happens at, and the act of that card. */
  readonly step: Step;
  readonly act: Act;
  /** What was otherwise than anybody believed. */
  readonly truth: Truth;
}

/** A world that goes its own way from a card on. */
interface Branch {
  readonly from: number;
  readonly world: World;
}

type Stop = Extract<Truth, { kind: "stopped-at" }>;

export const AS_BELIEVED: Truth = { kind: "none" };

/** A plan that is tried on the model: what went wrong so far, and how it ended. */
export class Trial {
  readonly found: Found[] = [];
  readonly ends: { readonly truth: Truth; readonly difference: EndDifference }[] = [];
  acts = 0;
  readonly #steps: readonly Step[];
  /** What each card asks for. */
  readonly #asked: readonly (readonly Act[])[];
  readonly #site: Site;
  /** How the world stood before each card, as all believe it to go. */
  readonly #stood: World[] = [];

  constructor({ steps }: Plan, site: Site) {
    this.#site = site;
    this.#steps = steps;
    this.#asked = steps.map(actsOf);
  }

  /**
   * Goes through the plan as all believe things to be.
   *
   * @returns the worlds that branch off: each truth where it begins to matter, each night where the line stands
   *   otherwise than at the card before
   */
  asBelieved(truths: readonly Truth[], stops: readonly Stop[]): Branch[] {
    const world = new World(this.#site, AS_BELIEVED);
    const begins = truths.map((truth) => ({ truth, at: beginsAt(truth, this.#asked, world) }));
    const stopAt = new Map(stops.map((stop) => [stop.step, stop]));
    const branches: Branch[] = begins.flatMap(({ truth, at }) =>
      at === 0 ? [{ from: 0, world: new World(this.#site, truth) }] : [],
    );
    let line = "";
    for (const [from, step] of this.#steps.entries()) {
      this.#stood.push(world.copy());
      for (const { truth, at } of begins)
        if (at === from && at > 0) branches.push({ from, world: world.copy(truth) });
      const stop = stopAt.get(step.id);
      if (stop !== undefined && world.lineNow !== line) {
        line = world.lineNow;
        branches.push({ from, world: world.copy(stop) });
      }
      if (!this.#does(world, step, this.#asked[from]!)) return branches;
    }
    this.#ends(world);
    return branches;
  }

  /**
   * Goes on from a card until it ends or stops.
   *
   * @param beside the course that all believe in: where the truth is spent and all stands as it stood there, it goes as
   *   it went there
   */
  goOn(world: World, from: number, beside = false): void {
    const spent = beside ? spentAt(world.truth, this.#asked) : this.#steps.length;
    for (let card = from; card < this.#steps.length; card++) {
      if (card >= spent && this.#stood[card]?.standsAs(world) === true) return;
      if (!this.#does(world, this.#steps[card]!, this.#asked[card]!)) return;
    }
    if (world.truth.kind === "found-at") this.#ends(world);
  }

  #ends(world: World): void {
    for (const difference of differences(world)) this.ends.push({ truth: world.truth, difference });
  }

  /** Does cards a second time. @returns whether the work goes on */
  doAgain(world: World, steps: readonly Step[]): boolean {
    return steps.every((step) => this.#does(world, step, actsOf(step)));
  }

  /** Does one card; false when the work ends at it. */
  #does(world: World, step: Step, acts: readonly Act[]): boolean {
    // A plan that says itself why it cannot go on goes no further.
    if (step.kind === "blocked") return false;
    const { truth } = world;
    for (const act of acts) {
      this.acts++;
      for (const harm of perform(world, act)) this.found.push({ harm, step, act, truth });
    }
    pass(world);
    if (!world.halted) return true;
    const act = acts.at(-1);
    if (truth.kind === "none" && act !== undefined)
      this.found.push({ harm: { kind: "stops-for-nothing" }, step, act, truth });
    return false;
  }
}
