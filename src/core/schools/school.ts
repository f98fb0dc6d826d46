import type { Base } from "../build";
import type { AnyWay, Part, Sheet, Topic, WayOf } from "../formats";

/** What a way is weighed on: the sheet as it is at this valve, and what comes off in this job. */
export interface Site {
  readonly sheet: Sheet;
  readonly removed: readonly string[];
}

/** Why a way is the usual one here. */
export type UsualBecause =
  /** Its sheet does it so, in its own words where it gives any. */
  | { readonly kind: "sheet"; readonly says?: string }
  /** Its torque is stated for that thread. */
  | { readonly kind: "stated-for-it" }
  /** Flat faces to the rim: bolts outside a ring bend it. */
  | { readonly kind: "flat-and-brittle"; readonly part: string }
  | { readonly kind: "inside-the-bolts" }
  | { readonly kind: "in-a-recess" }
  /** A shock would break it. */
  | { readonly kind: "shock-breaks"; readonly part: string }
  /** No spark where what is left of the medium burns. */
  | { readonly kind: "burns-near" }
  /** It costs minutes, and breaks nothing. */
  | { readonly kind: "breaks-nothing" };

/** Why a way must not be taken, at a part or at all. */
export type NotBecause =
  | { readonly kind: "not-on-its-sheet" }
  | { readonly kind: "face-unknown" }
  | { readonly kind: "bends-the-rim"; readonly part: string }
  | { readonly kind: "does-not-lie-in-a-recess" }
  | { readonly kind: "no-kit-cut-so" }
  | { readonly kind: "cracks" | "deforms" | "burns-near" }
  | { readonly kind: "must-lock" | "must-seal" | "greased-already" | "dry-by-design" }
  /** In the words of the table of fluids. */
  | { readonly kind: "clash"; readonly base: Base; readonly why: string }
  | { readonly kind: "not-for-drinking-water" }
  | { readonly kind: "torn-dry" }
  | { readonly kind: "ruins-electrics" };

/** A way of working, and where it may not be taken. */
export interface WayHere {
  readonly way: AnyWay;
  /** Nowhere here; the first reason. */
  readonly barred?: { readonly part?: string; readonly because: NotBecause };
  /** Goes on as its sheet says, with this way chosen: parts by name. */
  readonly keeps: readonly { readonly part: string; readonly because: NotBecause }[];
}

/** A topic that arises in a job: the usual way with its reason, and each way. */
export interface Offer {
  readonly topic: Topic;
  /** The way its sheet goes; where it is mixed, the way most pieces go. */
  readonly usual: AnyWay;
  readonly mixed?: boolean;
  readonly because: UsualBecause;
  /** What it is about, by name. */
  readonly about: readonly string[];
  readonly ways: readonly WayHere[];
}

/** One topic practitioners differ on: where it arises, and the sheet as another way works it. */
export interface School<T extends Topic> {
  /** Nothing where nothing in the job asks for it. */
  offer(site: Site): Omit<Offer, "topic"> | undefined;
  /** The sheet worked this way, wherever it may be. @param why in the words of who chose it */
  worked(sheet: Sheet, way: WayOf<T>, why: string): Sheet;
}

/** Parts that come off, in the order of the sheet. */
export const partsOff = ({ sheet, removed }: Site): Part[] =>
  sheet.parts.filter(({ id }) => removed.includes(id));

/**
 * A way by what keeps each part from it: barred where it would change none.
 *
 * @param is parts that go this way already
 */
export function wayHere(
  { way, usual }: { readonly way: AnyWay; readonly usual: AnyWay },
  parts: readonly Part[],
  not: (part: Part) => NotBecause | undefined,
  is: (part: Part) => boolean = () => false,
): WayHere {
  const keeps = parts.flatMap((part) => {
    const because = not(part);
    return because === undefined ? [] : [{ part: part.name, because }];
  });
  const [first] = keeps;
  const changes = parts.some((part) => !is(part) && not(part) === undefined);
  return way !== usual && !changes && first !== undefined
    ? { way, barred: first, keeps: [] }
    : { way, keeps };
}

/** How parts go by their sheet: the way most pieces go, and whether some go another. */
export function usually<W extends AnyWay>(
  parts: readonly Part[],
  wayOf: (part: Part) => W | undefined,
): { readonly usual: W; readonly mixed: boolean } | undefined {
  const pieces = new Map<W, number>();
  for (const part of parts) {
    const way = wayOf(part);
    if (way !== undefined) pieces.set(way, (pieces.get(way) ?? 0) + part.quantity);
  }
  const [most] = [...pieces].sort(([, a], [, b]) => b - a);
  return most === undefined ? undefined : { usual: most[0], mixed: pieces.size > 1 };
}

/** The sheet with some of its parts changed; the same object where none is. */
export function withParts(sheet: Sheet, change: (part: Part) => Part): Sheet {
  const parts = sheet.parts.map(change);
  return parts.every((part, index) => part === sheet.parts[index]) ? sheet : { ...sheet, parts };
}
