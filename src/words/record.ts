import type { Finding } from "@/core/findings";
import type { AsFound } from "@/core/job";
import type { Speaker } from "./speaker";
import { notedAsk } from "./steps/said";

/** What a look gave, and what it means. */
export const findingWords = ({ say }: Speaker, { answer, says }: Finding): string =>
  say.entries.finding(answer, says);

/** How it was found. */
export function asFoundWords(speaker: Speaker, found: AsFound): string {
  switch (found.kind) {
    case "reason":
      return found.says;
    case "noted":
      return notedWords(speaker, found);
    case "finding":
      return findingWords(speaker, found.finding);
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
