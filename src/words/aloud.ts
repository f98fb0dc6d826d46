import type { Run, Step } from "@/core/job";
import type { Speaker } from "./speaker";
import { stepDangers, stepWords } from "./step-words";

/** Figures and signs as a voice says them. */
const SPOKEN: readonly (readonly [RegExp, string])[] = [
  [/N·m/g, "newton metres"],
  [/°C/g, "degrees"],
  [/\bbar g\b/g, "bar"],
  [/×/g, "by"],
  [/·/g, ","],
  [/[→↑↓]/g, ","],
];

/** A card as it is read out, sentence by sentence: what can happen first, then what to do, and why. */
export function aloudWords(speaker: Speaker, step: Step, title: string): string[] {
  const { why, cues = [], ask, reason } = stepWords(speaker, step);
  const { cautions, barred } = stepDangers(speaker, step);
  const { aloud } = speaker.say.card;
  return [
    ...cautions.map((each) => aloud.caution(each.can, each.do)),
    title,
    ...cues,
    ...barred.map((each) => aloud.barred(each.tool, each.why)),
    ...(reason === undefined ? [] : [reason]),
    why,
    ...(ask === undefined ? [] : [ask]),
  ]
    .filter((each) => each.trim() !== "")
    .map((each) => SPOKEN.reduce((text, [sign, said]) => text.replace(sign, said), each));
}

/** Said when the work is stopped or over. */
export const aloudEnd = (speaker: Speaker, { status }: Pick<Run, "status">): string =>
  status.kind === "stopped" ? speaker.say.card.aloud.stopped(status.reason) : speaker.say.card.signedOff;
