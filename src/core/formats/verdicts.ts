import type { Check, CheckVerdict } from "./sheet";

/** A verdict of a check: which answer gives it, and where it stands in the check (JSON pointer). */
interface VerdictAt {
  readonly given: string;
  readonly path: string;
  readonly verdict: CheckVerdict;
}

/** Every verdict that a check can give, with the answer that gives it. */
export function verdictsOf(check: Check): VerdictAt[] {
  switch (check.kind) {
    case "choice":
    case "pieces":
      return check.options.map((option, index) => ({
        given: option.id,
        path: `/options/${index}`,
        verdict: option,
      }));
    case "trick":
      return [
        { given: "go", path: "/go", verdict: check.go },
        { given: "no-go", path: "/noGo", verdict: check.noGo },
      ];
    case "measure":
      return (["within", "below", "above"] as const).flatMap((side) => {
        const verdict = check[side];
        return verdict === undefined ? [] : [{ given: side, path: `/${side}`, verdict }];
      });
  }
}

/** The same check with every verdict changed. */
export function withVerdicts(check: Check, of: <V extends CheckVerdict>(verdict: V) => V): Check {
  switch (check.kind) {
    case "choice":
      return { ...check, options: check.options.map(of) };
    case "pieces":
      return { ...check, options: check.options.map(of) };
    case "trick":
      return { ...check, go: of(check.go), noGo: of(check.noGo) };
    case "measure":
      return {
        ...check,
        within: of(check.within),
        ...(check.below !== undefined && { below: of(check.below) }),
        ...(check.above !== undefined && { above: of(check.above) }),
      };
  }
}
