import {
  ELSE,
  type End,
  type EndCost,
  type Look,
  type LookNeed,
  type Trouble,
  type TroubleFacts,
  triedAs,
  UNKNOWN,
  UNLISTED,
} from "../formats";
import { Answering } from "./answering";
import { causesOf, type Hypothesis, hypotheses, type PriorOf, priors } from "./prior";

/** What has been made so for a look, as bits: each is paid for once, there and back. */
export const MADE = { "power-off": 1, dead: 2, "cover-off": 4 } as const;
const BITS = [1, 2, 4] as const;

/** A look as the search sees it. */
export interface LookIn {
  readonly look: Look;
  readonly minutes: number;
  /** Bits that have to be made for it. */
  readonly needs: number;
  /** Bits that must not be: they are undone again, at no cost, since the way back is paid. */
  readonly undoes: number;
  /** What it can be answered. */
  readonly answers: readonly string[];
  /** Chance of each answer for each hypothesis: `chance[answer][hypothesis]`. */
  readonly chance: readonly Float64Array[];
}

/** An end as the search sees it. */
export interface EndIn {
  readonly end: End;
  /** Expected minutes, all told, for each hypothesis, with nothing made for a look yet. */
  readonly cost: Float64Array;
  /** What is spared by each bit that is made already. */
  readonly spares: readonly number[];
  /** Nothing is lost if it was not that: it is tried, and one goes on looking. */
  readonly tried: boolean;
  readonly minutes: number;
  /** Hypotheses that it ends, 1 or 0. */
  readonly covers: Float64Array;
  /** May be done only once this look was answered so; nothing where it may be done anyway. */
  readonly once?: { readonly look: string; readonly answers: readonly string[] };
}

/** What may be wrong, and what of it is still to be ended: a cure that was done and did not help has done its part. */
export interface Standing extends Hypothesis {
  readonly left: readonly string[];
}

/** A case in figures: what may be wrong, what can be looked at, how it may end. All costs in minutes. */
export interface Case {
  readonly knowledge: Trouble;
  readonly facts: TroubleFacts;
  readonly priors: readonly PriorOf[];
  readonly hypotheses: readonly Standing[];
  readonly answering: ReadonlyMap<string, Answering>;
  /** Chance of each hypothesis by now, adding up to 1. */
  readonly now: Float64Array;
  /** Looks that were not answered yet and can be done. */
  readonly looks: readonly LookIn[];
  readonly ends: readonly EndIn[];
  /** Cost to make each of the bits, there and back. */
  readonly setUp: readonly number[];
  /** Least that each hypothesis can cost: what its own end does. */
  readonly least: Float64Array;
  /** What is made already spares no end more than this. */
  readonly mostSpared: number;
  /** Bits that are made. */
  readonly made: number;
  /** What was answered, by look. */
  readonly answered: ReadonlyMap<string, string>;
  /** Ends that were tried and did not help. */
  readonly failed: ReadonlySet<string>;
}

/** min. What is usual where nobody says how long it takes here. */
const USUAL = { "power-off": 5, dead: 30, "cover-off": 20 } as const;
const WEIGH = { trip_min: 90, wrong_min: 300, outage: 0.5, money_min: 0 } as const;
/** min. Finding out what is on no list: somebody who knows more, or the whole of it apart. */
const UNLISTED_MIN = 240;
/** An end that was done and did not help speaks against its causes by so much: some are botched. */
const BOTCHED = 0.03;

const UNLISTED_END: End = {
  id: UNLISTED,
  kind: "order",
  says: "Nothing that is known here fits.",
  minutes: 30,
  within_days: 1,
};

/** Puts a case into figures. @param answers by look, or by `triedAs` of an end */
export function caseOf(knowledge: Trouble, facts: TroubleFacts, answers: ReadonlyMap<string, string>): Case {
  const before = priors(knowledge, facts);
  const answering = new Map(knowledge.looks.map((look) => [look.id, new Answering(look, knowledge, facts)]));
  const failed = new Set(
    knowledge.ends.flatMap(({ id }) => (answers.get(triedAs(id)) === "not" ? [id] : [])),
  );
  const endOf = new Map(causesOf(knowledge, facts).map(({ id, end }) => [id, end]));
  const likelihood = (causes: readonly string[]) => {
    let product = 1;
    // In the order of the file: the order of the answers changes nothing, not even the last digit.
    for (const { id } of knowledge.looks) {
      const of = answering.get(id)!;
      const index = of.answers.indexOf(answers.get(id) ?? UNKNOWN);
      if (index >= 0) product *= of.chances(causes)[index]!;
    }
    for (const end of failed) if (causes.every((cause) => endOf.get(cause) === end)) product *= BOTCHED;
    return product;
  };
  const all = hypotheses(before, (cause) => likelihood([cause])).map(({ causes, chance }) => {
    const left = causes.filter((cause) => !failed.has(endOf.get(cause) ?? ""));
    return { causes, chance, left: left.length > 0 ? left : causes };
  });
  const weight = Float64Array.from(all, ({ chance, causes }) => chance * likelihood(causes));
  const sum = weight.reduce((total, each) => total + each, 0);
  const ends = endsIn(knowledge, facts, all, endOf, failed);
  const looks = knowledge.looks
    .filter((look) => canBeAsked(look, facts) && !answers.has(look.id))
    .map((look): LookIn => lookIn(look, facts, all, answering.get(look.id)!));
  const made = madeBy(knowledge, answers);
  return {
    knowledge,
    facts,
    priors: before,
    hypotheses: all,
    answering,
    now: weight.map((each) => each / sum),
    looks,
    ends: ends.of,
    setUp: (["power-off", "dead", "cover-off"] as const).map((need) => facts.setUp?.[need] ?? USUAL[need]),
    least: ends.least,
    mostSpared: Math.max(0, ...ends.of.map(({ spares }) => spares.reduce((sum, each) => sum + each, 0))),
    made,
    answered: answers,
    failed,
  };
}

const canBeAsked = (look: Look, { complaint, from, cannot = [] }: TroubleFacts): boolean =>
  (look.complaints === undefined || look.complaints.includes(complaint)) &&
  !cannot.includes(look.id) &&
  (from !== "telephone" || look.caller !== undefined);

const bitsOf = (needs: readonly LookNeed[] = []): number =>
  // What is under the cover is looked at dead.
  needs.reduce((bits, need) => {
    if (need === "cover-off") return bits | MADE["cover-off"] | MADE.dead;
    return need === "power-off" || need === "dead" ? bits | MADE[need] : bits;
  }, 0);

const undoneBy = (needs: readonly LookNeed[] = []): number =>
  (needs.includes("live") ? MADE.dead | MADE["cover-off"] : 0) |
  (needs.includes("power-on") ? MADE["power-off"] : 0);

function lookIn(look: Look, facts: TroubleFacts, all: readonly Standing[], answering: Answering): LookIn {
  const by = all.map(({ causes }) => answering.chances(causes));
  return {
    look,
    minutes: facts.from === "telephone" ? Math.min(1, look.minutes) : look.minutes,
    needs: facts.from === "telephone" ? 0 : bitsOf(look.needs),
    undoes: facts.from === "telephone" ? 0 : undoneBy(look.needs),
    answers: answering.answers,
    chance: answering.answers.map((_, answer) => Float64Array.from(by, (each) => each[answer]!)),
  };
}

/** What the looks that were answered have left made, in the order of the file: any order of answers says the same. */
function madeBy({ looks }: Trouble, answers: ReadonlyMap<string, string>): number {
  let made = 0;
  for (const look of looks) {
    const answer = answers.get(look.id);
    if (answer !== undefined && answer !== UNKNOWN) made |= bitsOf(look.needs);
  }
  return made;
}

function endsIn(
  { ends }: Trouble,
  facts: TroubleFacts,
  all: readonly Standing[],
  endOf: ReadonlyMap<string, string>,
  failed: ReadonlySet<string>,
) {
  const weigh = { ...WEIGH, ...facts.weigh };
  const own = (end: End): number => {
    const cost: EndCost = facts.costs?.[end.id] ?? { minutes: end.minutes };
    const trip = facts.from === "telephone" && !(end.kind === "do-now" && end.caller) ? weigh.trip_min : 0;
    return cost.minutes + weigh.outage * (cost.outage_min ?? 0) + weigh.money_min * (cost.money ?? 0) + trip;
  };
  const byId = new Map(ends.map((end) => [end.id, own(end)]));
  const ofCause = (cause: string) =>
    cause === ELSE ? UNLISTED_MIN : (byId.get(endOf.get(cause) ?? "") ?? UNLISTED_MIN);
  const least = Float64Array.from(all, ({ left }) => leastFor(left));
  function leastFor(causes: readonly string[]): number {
    const different = new Set(causes.map((cause) => endOf.get(cause)));
    return causes.reduce((sum, each) => (different.delete(endOf.get(each)) ? sum + ofCause(each) : sum), 0);
  }
  const used = new Set(all.flatMap(({ causes }) => causes.map((each) => endOf.get(each))));
  const of = [...ends, UNLISTED_END]
    .filter(({ id }) => (used.has(id) && !failed.has(id)) || id === UNLISTED)
    .map((end): EndIn => {
      const mine = end.id === UNLISTED ? UNLISTED_END.minutes : byId.get(end.id)!;
      const ended = (cause: string) =>
        end.id === UNLISTED ? cause === ELSE : cause !== ELSE && endOf.get(cause) === end.id;
      const lost = weigh.trip_min + weigh.wrong_min;
      const cost = Float64Array.from(all, ({ left }, index) => {
        const more = left.filter((cause) => !ended(cause));
        return more.length === 0 ? least[index]! : mine + lost + leastFor(more);
      });
      const { dead_min = 0, cover_min = 0 } = facts.costs?.[end.id] ?? {};
      return {
        end,
        cost,
        minutes: mine,
        spares: [0, dead_min, cover_min],
        tried: end.kind === "do-now",
        covers: Float64Array.from(all, ({ left }) => (left.every(ended) ? 1 : 0)),
        ...(end.kind === "do-now" && end.once !== undefined && { once: end.once }),
      };
    });
  return { of, least };
}

/** What it costs to make what a look needs, with some made already; and what stands made after. */
export function makeReady(
  of: Case,
  look: LookIn,
  made: number,
): { readonly cost: number; readonly made: number } {
  const left = made & ~look.undoes;
  const missing = look.needs & ~left;
  const cost = BITS.reduce((sum, bit, index) => sum + ((missing & bit) === 0 ? 0 : of.setUp[index]!), 0);
  return { cost, made: left | look.needs };
}

/** What an end is spared, since so much is made already. */
export const sparedBy = ({ spares }: EndIn, made: number): number =>
  BITS.reduce((sum, bit, index) => sum + ((made & bit) === 0 ? 0 : spares[index]!), 0);
