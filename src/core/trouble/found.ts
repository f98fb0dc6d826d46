import type { Finding } from "../findings";
import type { Case, Trouble } from "../formats";

/**
 * Which cause a finished case turned out to be; nothing where nobody can tell.
 *
 * @param findings of the job it led to, once that is signed
 */
export function causeFound(
  { causes }: Trouble,
  { complaint, odds, end, outcome }: Pick<Case, "complaint" | "odds" | "end" | "outcome">,
  findings: readonly Finding[] | undefined,
): string | undefined {
  const likeliest = (of: readonly { readonly id: string }[]) =>
    [...of].sort((a, b) => (odds[b.id] ?? 0) - (odds[a.id] ?? 0))[0]?.id;
  const possible = causes.filter(({ weights }) => weights[complaint] !== undefined);
  switch (outcome) {
    case "cured":
      return likeliest(possible.filter((cause) => cause.end === end));
    case "job": {
      if (findings === undefined) return undefined;
      const shown = possible.filter(({ shownBy = [] }) =>
        shownBy.some(({ check, answers }) =>
          findings.some((each) => each.check === check && answers.includes(each.given)),
        ),
      );
      const worn = possible.filter(({ part }) =>
        findings.some((each) => each.part === part && part !== undefined && bad(each)),
      );
      return likeliest(shown.length > 0 ? shown : worn);
    }
    case "handed-over":
    case "watched":
      return undefined;
  }
}

const bad = ({ means }: Finding): boolean => means === "renew" || means === "clean";

/** What was held likely and how often it was so: the odds of the causes, by tenths. */
export interface Calibration {
  /** From this chance on, 0 to 0.9. */
  readonly from: number;
  readonly said: number;
  readonly cases: number;
  readonly right: number;
}

/** How well the odds were kept: of what was said to be 70 of 100, was it 7 in 10? */
export function calibration(
  cases: readonly { readonly odds: Case["odds"]; readonly found: string }[],
): Calibration[] {
  const tenths = Array.from({ length: 10 }, (_, index) => ({ from: index / 10, sum: 0, cases: 0, right: 0 }));
  for (const { odds, found } of cases)
    for (const [cause, chance] of Object.entries(odds as Record<string, number>)) {
      const tenth = tenths[Math.min(9, Math.floor(chance * 10))]!;
      tenth.sum += chance;
      tenth.cases += 1;
      if (cause === found) tenth.right += 1;
    }
  return tenths.map(({ from, sum, cases: count, right }) => ({
    from,
    said: count === 0 ? 0 : sum / count,
    cases: count,
    right,
  }));
}
