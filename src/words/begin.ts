import type { BeginRefusal } from "@/core/begin";
import type { Sheet } from "@/core/formats";
import { unreachable } from "@/core/result";
import { stripMessage } from "./handling";
import { wayRefused } from "./schools";
import type { Speaker } from "./speaker";

/** Why no job can begin as it was asked for. */
export function beginRefused(speaker: Speaker, refusal: BeginRefusal, sheet: Sheet): string {
  const words = speaker.say.begin;
  switch (refusal.kind) {
    case "reach-nothing":
    case "say-why":
      return words[refusal.kind];
    case "not-on-the-sheet":
      return refusal.what === "symptom"
        ? words.noSymptom(sheet.id, refusal.id)
        : words.noSuch(sheet.id, refusal.what, refusal.id, speaker.say.common.commas([...refusal.known]));
    case "no-plan":
      return stripMessage(speaker, refusal.failure, sheet);
    case "way":
      return wayRefused(speaker, refusal.refusal);
    case "depth":
      return refusal.problem.message;
    default:
      return unreachable(refusal);
  }
}
