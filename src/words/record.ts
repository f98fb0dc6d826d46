import type { Finding } from "@/core/findings";
import type { AsFound, FoundOf } from "@/core/job";
import type { Speaker } from "./speaker";
import { notedAsk } from "./steps/said";

/** What a look gave, and what it means. */
export const findingWords = ({ say }: Speaker, { answer, says, pieces }: Finding): string =>
  say.entries.finding(pieces === undefined ? answer : piecesWords(say, pieces), says);

/** How many pieces of a stack were found how. */
function piecesWords(say: Speaker["say"], pieces: NonNullable<Finding["pieces"]>): string {
  const counts = new Map<string, number>();
  for (const { answer } of pieces) counts.set(answer, (counts.get(answer) ?? 0) + 1);
  return say.common.commas([...counts].map(([answer, count]) => say.entries.pieces(count, answer)));
}

/** The same, with the part it is of. */
export function foundOfWords(speaker: Speaker, { part, finding }: FoundOf): string {
  const says = findingWords(speaker, finding);
  return part === undefined ? says : speaker.say.entries.ofPart(part, says);
}

/** How it was found. */
export function asFoundWords(speaker: Speaker, found: AsFound): string {
  switch (found.kind) {
    case "reason":
      return found.says;
    case "noted":
      return notedWords(speaker, found);
    case "finding":
      return foundOfWords(speaker, found);
  }
}

function notedWords(speaker: Speaker, found: Extract<AsFound, { kind: "noted" }>): string {
  const { entries } = speaker.say;
  const ask = notedAsk(speaker, found.about);
  const says =
    found.putRight === undefined
      ? entries.asFound(ask, found.noted)
      : entries.foundWrong(ask, found.noted, found.putRight);
  return found.registered === undefined ? says : entries.otherBuild(says, found.registered);
}
