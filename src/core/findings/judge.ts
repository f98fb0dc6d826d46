import type { Check, CheckVerdict, Disposition } from "../formats";

/** What was observed at a check: an option, go or no-go, or a measured SI value. */
export type Observation =
  | { readonly kind: "said"; readonly answer: string; readonly reason?: string }
  | { readonly kind: "measured"; readonly si: number; readonly typed: string };

export interface Finding {
  readonly check: string;
  readonly part?: string;
  readonly answer: string;
  readonly means: Disposition;
  readonly says: string;
  readonly alsoRenew: readonly string[];
  readonly reach: readonly string[];
  /** The interval that is due at once because of it. */
  readonly makesDue?: string;
}

const finding = (check: Check, answer: string, verdict: CheckVerdict): Finding => ({
  check: check.id,
  ...(check.part !== undefined && { part: check.part }),
  answer,
  means: verdict.means,
  says: verdict.says,
  alsoRenew: verdict.alsoRenew ?? [],
  reach: verdict.reach ?? [],
  ...(verdict.makesDue !== undefined && { makesDue: verdict.makesDue }),
});

/**
 * What an observation means by the sheet; nothing when it is not one this check knows.
 *
 * @param limitSI turns the check's limits into SI (the check states them in its own unit)
 */
export function judge(
  check: Check,
  seen: Observation,
  limitSI: (value: number) => number,
): Finding | undefined {
  switch (check.kind) {
    case "choice": {
      if (seen.kind !== "said") return undefined;
      const option = check.options.find((each) => each.id === seen.answer);
      return option && finding(check, option.label, option);
    }
    case "trick": {
      if (seen.kind !== "said" || (seen.answer !== "go" && seen.answer !== "no-go")) return undefined;
      const side = seen.answer === "go" ? check.go : check.noGo;
      return finding(check, side.label, side);
    }
    case "measure": {
      if (seen.kind !== "measured") return undefined;
      if (check.low !== undefined && seen.si < limitSI(check.low))
        return finding(check, seen.typed, check.below ?? check.within);
      if (check.high !== undefined && seen.si > limitSI(check.high))
        return finding(check, seen.typed, check.above ?? check.within);
      return finding(check, seen.typed, check.within);
    }
  }
}
