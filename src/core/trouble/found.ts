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
