import type { Finding } from "@/core/findings";
import type { AsFound } from "@/core/job";
import type { Speaker } from "./speaker";
import { notedAsk } from "./step-words";

/** What a look gave, and what it means. */
export const findingWords = ({ say }: Speaker, { answer, says }: Finding): string =>
  say.entries.finding(answer, says);

/** How it was found. */
export function asFoundWords(speaker: Speaker, found: AsFound): string {
  switch (found.kind) {
    case "reason":
      return found.says;
    case "noted":
      return found.putRight === undefined
        ? speaker.say.entries.asFound(notedAsk(speaker, found.about), found.noted)
        : speaker.say.entries.foundWrong(notedAsk(speaker, found.about), found.noted, found.putRight);
    case "finding":
      return findingWords(speaker, found.finding);
  }
}
