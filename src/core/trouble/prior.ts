import { type Cause, type Circumstance, ELSE, type Trouble, type TroubleFacts } from "../formats";
import { holds } from "./circumstances";

/** One thing, or two at once, that may be wrong. */
export interface Hypothesis {
  /** Ids of causes; `ELSE` alone. */
  readonly causes: readonly string[];
  /** Its chance before anybody looked, 0 to 1. */
  readonly chance: number;
}

/** Why a cause is as likely as it is before anybody looked. */
export interface PriorOf {
  readonly cause: string;
  /** As the knowledge has it, 0 to 1. */
  readonly share: number;
  /** With what signed jobs found. */
  readonly learnt: number;
  readonly found: number;
  /** Of how many jobs that found anything. */
  readonly of: number;
  readonly raisedBy: readonly { readonly when: Circumstance; readonly times: number }[];
  /** All told, 0 to 1. */
  readonly chance: number;
}

/** Pairs are made of so many of the likeliest causes. */
const PAIRED = 4;

export const causesOf = ({ causes }: Trouble, { complaint }: TroubleFacts): Cause[] =>
  causes.filter(({ weights }) => weights[complaint] !== undefined);

/**
 * How likely each cause is before anybody looked: its share of the complaint, moved by what signed jobs found (as many
 * pseudo-jobs as it is held like, a Dirichlet mean), times what this valve and this day make likelier.
 */
export function priors(knowledge: Trouble, facts: TroubleFacts): PriorOf[] {
  const causes = causesOf(knowledge, facts);
  const weight = (cause: Cause) => cause.weights[facts.complaint]!;
  const total = causes.reduce((sum, cause) => sum + weight(cause), 0);
  const other = knowledge.else_percent / 100;
  const found = (id: string) => facts.found?.[id] ?? 0;
  const of = causes.reduce((sum, { id }) => sum + found(id), 0);
  const raw = causes.map((cause) => {
    const share = ((1 - other) * weight(cause)) / total;
    const learnt = (cause.held * share + found(cause.id)) / (cause.held + of);
    const raisedBy = (cause.likelier ?? []).filter(({ when }) => holds(when, facts));
    const times = raisedBy.reduce((product, each) => product * each.times, 1);
    return { cause: cause.id, share, learnt, found: found(cause.id), of, raisedBy, moved: learnt * times };
  });
  const moved = raw.reduce((sum, each) => sum + each.moved, 0);
  return [
    ...raw.map(({ moved: own, ...each }) => ({ ...each, chance: ((1 - other) * own) / moved })),
    { cause: ELSE, share: other, learnt: other, found: 0, of: 0, raisedBy: [], chance: other },
  ];
}

/**
 * All that may be wrong: each cause alone, pairs of the likeliest few, something else. Their chances add up to 1.
 *
 * @param likelihood of all answers so far, by cause; which causes make pairs follows from it
 */
export function hypotheses(of: readonly PriorOf[], likelihood: (cause: string) => number): Hypothesis[] {
  const now = ({ cause, chance }: PriorOf) => chance * likelihood(cause);
  const few = of
    .filter(({ cause }) => cause !== ELSE)
    .sort((a, b) => now(b) - now(a))
    .slice(0, PAIRED);
  const single = of.map(({ cause, chance }) => ({ causes: [cause], chance }));
  const pairs = few.flatMap((a, i) =>
    few.slice(i + 1).map((b) => ({ causes: [a.cause, b.cause], chance: a.chance * b.chance })),
  );
  const all = [...single, ...pairs];
  const sum = all.reduce((total, { chance }) => total + chance, 0);
  return all.map((each) => ({ ...each, chance: each.chance / sum }));
}
