import { type Trouble, type TroubleFacts, triedAs } from "../formats";
import { advise } from "./advise";
import { type Case, caseOf, makeReady, sparedBy } from "./case";
import { after } from "./next-look";
import { massOf } from "./weigh-ends";

/** Ways less likely than this are cut off: acting then is no less dear than looking on. */
const RARE = 1e-4;

/** What it costs on average to do as advised, to the end, min: every way that answers and trials can go. */
export function policyValue(knowledge: Trouble, facts: TroubleFacts): number {
  const of = caseOf(knowledge, facts, new Map());
  return value({ knowledge, facts, of }, of.now, of.made, new Map());
}

interface Asked {
  readonly knowledge: Trouble;
  readonly facts: TroubleFacts;
  /** As it was before anybody looked: all is weighed by that. */
  readonly of: Case;
}

function value(
  asked: Asked,
  belief: Float64Array,
  made: number,
  answers: ReadonlyMap<string, string>,
): number {
  const { knowledge, facts, of } = asked;
  const mass = massOf(belief);
  const { next, actNow } = advise(knowledge, facts, answers);
  const final = (id: string) => {
    const end = of.ends.find((each) => each.end.id === id)!;
    return belief.reduce((sum, each, h) => sum + each * (end.cost[h]! - sparedBy(end, made)), 0);
  };
  const named = (id: string) => of.ends.find((each) => each.end.id === id)!;
  if (next.kind === "end" || mass < RARE) {
    const id = next.kind === "end" ? next.end : actNow.end;
    const end = named(id);
    if (!end.tried) return final(id);
    const rest = belief.map((each, h) => (end.covers[h] === 1 ? 0 : each));
    const left = massOf(rest);
    if (left < RARE)
      return end.minutes * mass + final(of.ends.find((each) => !each.tried)!.end.id) * (left / mass);
    return end.minutes * mass + value(asked, rest, made, new Map([...answers, [triedAs(id), "not"]]));
  }
  const look = of.looks.find((each) => each.look.id === next.look)!;
  const ready = makeReady(of, look, made);
  return look.chance.reduce(
    (sum, by, index) =>
      sum +
      value(
        asked,
        after(belief, by),
        ready.made,
        new Map([...answers, [look.look.id, look.answers[index]!]]),
      ),
    (ready.cost + look.minutes) * mass,
  );
}
