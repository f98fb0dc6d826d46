import { ELSE, type Trouble, type TroubleFacts, triedAs } from "../formats";
import { advise } from "./advise";
import { caseOf } from "./case";

/**
 * How a visit may go, for one thing (or two at once) that may be wrong. Ours: these ends put it right, and these looks
 * are on the way to them. Others: it takes somebody else. Missed: the looks would lead to another end first. Unknown: it
 * stands on no list.
 */
export interface Visit {
  readonly causes: readonly string[];
  /** 0 to 1; of all visits together 1. */
  readonly chance: number;
  readonly goes: "ours" | "others" | "missed" | "unknown";
  readonly ends: readonly string[];
  readonly looks: readonly string[];
}

/** Rarer ones are not followed: nothing that is brought would be brought for them. */
const FOLLOWED = 0.002;
/** As often as anybody goes on looking after an end that did not help. */
const MOST_STEPS = 12;

/** What may be met on the spot, by what is known before one goes there. @param moments as of `advise` */
export function visitsOf(
  knowledge: Trouble,
  facts: TroubleFacts,
  answers: ReadonlyMap<string, string>,
  moments?: number,
): Visit[] {
  const onSite: TroubleFacts = { ...facts, from: "site" };
  const of = caseOf(knowledge, onSite, answers);
  const endOf = new Map(knowledge.causes.map(({ id, end }) => [id, end]));
  const kindOf = new Map(knowledge.ends.map(({ id, kind }) => [id, kind]));
  const adviceAt = remembered((at) => advise(knowledge, onSite, at, moments));
  const wayTo = (cause: string): { readonly looks: readonly string[]; readonly right: boolean } => {
    const at = new Map(answers);
    const looks: string[] = [];
    for (let step = 0; step < MOST_STEPS; step++) {
      const { next } = adviceAt(at);
      if (next.kind === "look") {
        looks.push(next.look);
        at.set(next.look, likeliest(next.look, cause));
        continue;
      }
      if (next.end === endOf.get(cause)) return { looks, right: true };
      // What is only tried and does not help is no wrong end yet.
      if (kindOf.get(next.end) !== "do-now") return { looks, right: false };
      at.set(triedAs(next.end), "not");
    }
    return { looks, right: false };
  };
  const likeliest = (look: string, cause: string): string => {
    const answering = of.answering.get(look)!;
    const chances = answering.chances([cause]);
    return answering.answers[chances.indexOf(Math.max(...chances))]!;
  };
  const ways = new Map<string, ReturnType<typeof wayTo>>();
  const way = (cause: string) => {
    const known = ways.get(cause) ?? wayTo(cause);
    ways.set(cause, known);
    return known;
  };
  return of.hypotheses.map(({ causes, left }, h): Visit => {
    const chance = of.now[h]!;
    if (causes.includes(ELSE)) return { causes, chance, goes: "unknown", ends: [], looks: [] };
    const ends = [...new Set(left.flatMap((cause) => endOf.get(cause) ?? []))];
    if (chance < FOLLOWED) return { causes, chance, goes: "missed", ends, looks: [] };
    const looks = [...new Set(left.flatMap((cause) => way(cause).looks))];
    const others = ends.some((end) => !["do-now", "job", "watch"].includes(kindOf.get(end) ?? ""));
    const missed = !others && !left.every((cause) => way(cause).right);
    return { causes, chance, goes: others ? "others" : missed ? "missed" : "ours", ends, looks };
  });
}

/** The same answers come up on many ways. */
function remembered<T>(of: (answers: ReadonlyMap<string, string>) => T) {
  const known = new Map<string, T>();
  return (answers: ReadonlyMap<string, string>): T => {
    const key = JSON.stringify([...answers].sort());
    const made = known.get(key) ?? of(answers);
    known.set(key, made);
    return made;
  };
}
