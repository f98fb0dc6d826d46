import type { Check, CheckVerdict, Disposition, Grade } from "../formats";

/** What was observed at a check: an option, go or no-go, or a measured SI value. */
export type Observation =
  | { readonly kind: "said"; readonly answer: string; readonly reason?: string }
  | { readonly kind: "measured"; readonly si: number; readonly typed: string }
  /** Pieces of a stack by their number from the bottom up, each with its answer. */
  | { readonly kind: "pieces"; readonly given: Readonly<Record<number, string>> };

/** A piece of a stack as it was found. */
export interface PieceFound {
  readonly piece: number;
  /** Which answer it was. */
  readonly given: string;
  readonly answer: string;
  readonly means: Disposition;
  readonly grade?: Grade;
}

export interface Finding {
  readonly check: string;
  readonly part?: string;
  /** Which answer it was: an option, go or no-go, below, within or above. */
  readonly given: string;
  /** In the words of the sheet, or as it was typed. */
  readonly answer: string;
  readonly means: Disposition;
  readonly says: string;
  readonly alsoRenew: readonly string[];
  readonly reach: readonly string[];
  /** The interval that is due at once because of it. */
  readonly makesDue?: string;
  /** The interval that is shorter from now on. */
  readonly shortens?: NonNullable<CheckVerdict["shortens"]>;
  readonly grade?: Grade;
  /** Of a stack: every piece of it. */
  readonly pieces?: readonly PieceFound[];
  /** Of a stack whose pieces go in new one by one: those that do. */
  readonly bad?: readonly number[];
}

const finding = (check: Check, given: string, answer: string, verdict: CheckVerdict): Finding => ({
  check: check.id,
  ...(check.part !== undefined && { part: check.part }),
  given,
  answer,
  means: verdict.means,
  says: verdict.says,
  alsoRenew: verdict.alsoRenew ?? [],
  reach: verdict.reach ?? [],
  ...(verdict.makesDue !== undefined && { makesDue: verdict.makesDue }),
  ...(verdict.shortens !== undefined && { shortens: verdict.shortens }),
  ...(verdict.grade !== undefined && { grade: verdict.grade }),
});

const WORSE: Record<Disposition, number> = { reuse: 0, clean: 1, renew: 2, stop: 3 };
const MORE_WORN: Record<Grade, number> = { good: 0, marginal: 1, gone: 2 };

/** What does more with it is worse; of what does as much, what is more worn. */
const worseOf = <V extends CheckVerdict>(one: V, other: V): V => {
  const rank = ({ means, grade = "good" }: V) => 3 * WORSE[means] + MORE_WORN[grade];
  return rank(other) > rank(one) ? other : one;
};

/** The worst of its pieces is what is found of a stack, once each was looked at. */
function ofPieces(
  check: Extract<Check, { kind: "pieces" }>,
  given: Readonly<Record<number, string>>,
  count: number,
): Finding | undefined {
  const found = Array.from({ length: count }, (_, index) => {
    const option = check.options.find(({ id }) => id === given[index + 1]);
    return option && { piece: index + 1, option };
  });
  const all = found.flatMap((each) => each ?? []);
  if (count === 0 || all.length < count) return undefined;
  const worst = all.map(({ option }) => option).reduce(worseOf);
  const bad = all.flatMap(({ piece, option }) => (option.means === "renew" ? [piece] : []));
  return {
    ...finding(check, worst.id, worst.label, worst),
    pieces: all.map(({ piece, option }) => ({
      piece,
      given: option.id,
      answer: option.label,
      means: option.means,
      ...(option.grade !== undefined && { grade: option.grade }),
    })),
    ...(check.condemns === "piece" && bad.length > 0 && { bad }),
  };
}

/**
 * What an observation means by the sheet; nothing when it is not one this check knows.
 *
 * @param limitSI turns the check's limits into SI (the check states them in its own unit)
 * @param pieces how many the stack has that is looked at
 */
export function judge(
  check: Check,
  seen: Observation,
  limitSI: (value: number) => number,
  pieces = 0,
): Finding | undefined {
  switch (check.kind) {
    case "choice": {
      if (seen.kind !== "said") return undefined;
      const option = check.options.find((each) => each.id === seen.answer);
      return option && finding(check, option.id, option.label, option);
    }
    case "trick": {
      if (seen.kind !== "said" || (seen.answer !== "go" && seen.answer !== "no-go")) return undefined;
      const side = seen.answer === "go" ? check.go : check.noGo;
      return finding(check, seen.answer, side.label, side);
    }
    case "measure": {
      if (seen.kind !== "measured") return undefined;
      if (check.low !== undefined && seen.si < limitSI(check.low))
        return finding(check, "below", seen.typed, check.below ?? check.within);
      if (check.high !== undefined && seen.si > limitSI(check.high))
        return finding(check, "above", seen.typed, check.above ?? check.within);
      return finding(check, "within", seen.typed, check.within);
    }
    case "pieces":
      return seen.kind === "pieces" ? ofPieces(check, seen.given, pieces) : undefined;
  }
}
