import type { Case, Sheet, Trouble, TroubleFacts } from "@/core/formats";
import { err, ok, type Result } from "@/core/result";
import { type Advice, advise, answersGiven } from "@/core/trouble";
import type { Services } from "../services";
import { knownFacts } from "./facts";
import { troubleOf } from "./knowledge";

/** A case that was kept, judged by what is known of its family and its valve now. */
export interface KeptCase {
  readonly of: Case;
  readonly knowledge: Trouble;
  readonly facts: TroubleFacts;
  readonly advice: Advice;
  readonly answers: ReadonlyMap<string, string>;
  readonly sheet: Sheet;
}

/** Nothing where this valve has no such case; why not, where what it was judged by is gone. */
export function keptCase(
  services: Services,
  tag: string,
  id: string,
): Result<KeptCase, { readonly of: Case; readonly says: string }> | undefined {
  const of = services.things.one("case", id);
  const valve = services.register.anyValve(tag);
  if (of === undefined || of.valve !== tag || valve === undefined) return undefined;
  const sheet = services.library.sheet(valve.sheet);
  const knowledge = sheet && troubleOf(services, sheet.family);
  const known = knowledge?.complaints.some(({ id: complaint }) => complaint === of.complaint);
  const given = knowledge && answersGiven(knowledge, of.answers, sheet);
  if (sheet === undefined || knowledge === undefined || known !== true || given?.ok !== true)
    return err({
      of,
      says: "What this case was judged by has changed since: its record stands on the valve, its page cannot be made anew.",
    });
  const { foundFor, ...rest } = knownFacts(services, valve, sheet, knowledge);
  const facts: TroubleFacts = {
    ...rest,
    complaint: of.complaint,
    from: of.from,
    found: foundFor[of.complaint] ?? {},
  };
  return ok({
    of,
    knowledge,
    facts,
    advice: advise(knowledge, facts, given.value),
    answers: given.value,
    sheet,
  });
}
