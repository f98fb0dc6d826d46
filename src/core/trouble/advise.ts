import { type Circumstance, ELSE, type End, type Trouble, type TroubleFacts, UNKNOWN } from "../formats";
import { type Case, caseOf } from "./case";
import { type Danger, dangerIn } from "./danger";
import { exactly, MOST_MOMENTS } from "./exact";
import { after, oneStep, type Search, twoSteps } from "./next-look";
import { act } from "./weigh-ends";

/** How likely a cause is, and why. */
export interface Odds {
  /** Id of the cause; `ELSE` for what stands on no list. */
  readonly cause: string;
  /** Now, 0 to 1; of two causes at once each has half. All of them add up to 1. */
  readonly chance: number;
  /** Before anybody looked. */
  readonly before: number;
  /** How often signed jobs found it, of how many that found anything. */
  readonly found: number;
  readonly of: number;
  /** What this valve and this day make of it. */
  readonly raisedBy: readonly { readonly when: Circumstance; readonly times: number }[];
  /** What each answer makes of it; under 1 it speaks against. */
  readonly answers: readonly { readonly look: string; readonly answer: string; readonly times: number }[];
}

/** What follows from an answer: another look, or an end. */
export interface Lead {
  readonly answer: string;
  /** Chance that it is answered so, 0 to 1. */
  readonly chance: number;
  readonly to:
    | { readonly kind: "look"; readonly look: string }
    | { readonly kind: "end"; readonly end: string };
}

export interface LookRank {
  readonly look: string;
  /** min. To make it possible, and to look. */
  readonly minutes: number;
  /** min. All that is expected with this look first. */
  readonly cost: number;
  /** min. What it spares against acting now; below zero it is not worth its minutes. */
  readonly saves: number;
}

export type Next =
  | { readonly kind: "look"; readonly look: string; readonly cost: number; readonly leads: readonly Lead[] }
  | {
      readonly kind: "end";
      readonly end: string;
      readonly cost: number;
      /** Chance that it ends what is wrong, 0 to 1. */
      readonly right: number;
      /** Answers that would lead elsewhere, likeliest first. */
      readonly wouldChange: readonly {
        readonly look: string;
        readonly answer: string;
        readonly chance: number;
        readonly end: string;
      }[];
    };

export interface Advice {
  /** Gone to at once, whatever the odds. */
  readonly danger?: Danger;
  readonly odds: readonly Odds[];
  /** The likeliest two at once. */
  readonly pair?: { readonly causes: readonly string[]; readonly chance: number };
  readonly next: Next;
  readonly actNow: { readonly end: string; readonly cost: number };
  readonly looks: readonly LookRank[];
  /** Worked out to the end; else the least possible may lie `bound_min` below. */
  readonly exact: boolean;
  readonly bound_min: number;
}

/** A look has to spare more than this to be worth asking for, min. */
const WORTH_MIN = 0.05;

/**
 * What may be wrong by now, what to look at next, or that it is time to act. The order of the answers changes nothing.
 *
 * @param answers by look, or by `triedAs` of an end that was tried; "unknown" says nothing and is not asked again
 * @param moments that an exact search may look at before two steps ahead have to do
 */
export function advise(
  knowledge: Trouble,
  facts: TroubleFacts,
  answers: ReadonlyMap<string, string> = new Map(),
  moments = MOST_MOMENTS,
): Advice {
  const of = caseOf(knowledge, facts, answers);
  const search = exactly(of, moments) ?? twoSteps(of);
  const danger = dangerIn(knowledge, facts, answers);
  const pairs = of.hypotheses
    .map(({ causes }, h) => ({ causes, chance: of.now[h]! }))
    .filter(({ causes }) => causes.length > 1)
    .sort((a, b) => b.chance - a.chance);
  return {
    ...(danger !== undefined && { danger }),
    odds: oddsOf(of),
    ...(pairs[0] !== undefined && { pair: pairs[0] }),
    next: nextOf(of, search),
    actNow: { end: search.now.end.end.id, cost: search.now.cost },
    looks: search.looks.map(({ of: { look }, cost, own }) => ({
      look: look.id,
      minutes: own,
      cost,
      saves: search.now.cost - cost,
    })),
    exact: search.exact,
    bound_min: search.bound,
  };
}

function nextOf(of: Case, { now, looks }: Search): Next {
  const [best] = looks;
  if (best === undefined || best.cost >= now.cost - WORTH_MIN)
    return {
      kind: "end",
      end: now.end.end.id,
      cost: now.cost,
      right: now.end.covers.reduce((sum, covers, h) => sum + covers * of.now[h]!, 0),
      wouldChange: wouldChange(of, now.end.end),
    };
  const room = new Float64Array(of.now.length);
  const leads = best.of.chance.map((chance, index): Lead => {
    const belief = after(of.now, chance);
    const answer = best.of.answers[index]!;
    const step = oneStep(of, belief, of.made | best.of.needs, {
      asked: best.of,
      way: { look: best.of.look.id, answer },
      room,
    });
    return {
      answer,
      chance: belief.reduce((sum, each) => sum + each, 0),
      to:
        step.look === undefined
          ? { kind: "end", end: step.act.end.end.id }
          : { kind: "look", look: step.look.look.id },
    };
  });
  return { kind: "look", look: best.of.look.id, cost: best.cost, leads };
}

const MOST_CHANGES = 3;

function wouldChange(of: Case, end: End) {
  return of.looks
    .flatMap(({ look, answers, chance, needs }) =>
      chance.map((by, index) => {
        const belief = after(of.now, by);
        const answer = answers[index]!;
        const other = act(of, belief, of.made | needs, { look: look.id, answer });
        const mass = belief.reduce((sum, each) => sum + each, 0);
        return { look: look.id, answer, chance: mass, end: other.end.end.id };
      }),
    )
    .filter((each) => each.end !== end.id)
    .sort((a, b) => b.chance - a.chance)
    .slice(0, MOST_CHANGES);
}

function oddsOf(of: Case): Odds[] {
  const chance = new Map<string, number>();
  for (const [h, { left }] of of.hypotheses.entries())
    for (const cause of left) chance.set(cause, (chance.get(cause) ?? 0) + of.now[h]! / left.length);
  const told = [...of.answered].filter(([look, answer]) => answer !== UNKNOWN && of.answering.has(look));
  const effects = told.map(([look, answer]) => {
    const answering = of.answering.get(look)!;
    const index = answering.answers.indexOf(answer);
    // What the other answers leave it at: so no answer counts for coming late.
    const without = of.hypotheses.map(({ causes }, h) => of.now[h]! / answering.chances(causes)[index]!);
    const sum = without.reduce((total, each) => total + each, 0);
    return { look, answer, expected: 1 / sum, of: (cause: string) => answering.chances([cause])[index]! };
  });
  return of.priors
    .map(({ cause, chance: before, raisedBy, found, of: jobs }) => ({
      cause,
      chance: chance.get(cause) ?? 0,
      before,
      found,
      of: jobs,
      raisedBy,
      answers: effects.map(({ look, answer, expected, of: by }) => ({
        look,
        answer,
        times: by(cause) / expected,
      })),
    }))
    .sort((a, b) => b.chance - a.chance || (a.cause === ELSE ? 1 : b.cause === ELSE ? -1 : 0));
}
