import { sameSet } from "./same";

/** The valve in the hand: which parts are where, how it stands. */
export interface ValveNow {
  readonly off: Set<string>;
  /** Bolts that hold a joint by some of their number only. */
  readonly cracked: Set<string>;
  readonly loose: Set<string>;
  /** One-use seals that lay open and were not replaced. */
  readonly uncovered: Set<string>;
  /** Parts that were replaced by new ones. */
  readonly fresh: Set<string>;
  /** Its vent into a header that others blow into: open to a person, blanked, clear again and about to be closed. */
  vent: "closed" | "open" | "blanked" | "clear";
  position: string | undefined;
  /** Whether it was moved since it was found. */
  moved: boolean;
}

/** Whole and not touched yet. */
export const untouched = (position: string | undefined): ValveNow => ({
  off: new Set(),
  cracked: new Set(),
  loose: new Set(),
  uncovered: new Set(),
  fresh: new Set(),
  vent: "closed",
  position,
  moved: false,
});

const SETS = ["off", "cracked", "loose", "uncovered", "fresh"] as const satisfies readonly (keyof ValveNow)[];

export const sameValve = (a: ValveNow, b: ValveNow): boolean =>
  a.position === b.position &&
  a.moved === b.moved &&
  a.vent === b.vent &&
  SETS.every((name) => sameSet(a[name], b[name]));

export const copied = (valve: ValveNow): ValveNow => ({
  ...valve,
  off: new Set(valve.off),
  cracked: new Set(valve.cracked),
  loose: new Set(valve.loose),
  uncovered: new Set(valve.uncovered),
  fresh: new Set(valve.fresh),
});
