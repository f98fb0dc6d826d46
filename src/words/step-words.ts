import type { Caution } from "@/core/formats";
import type { Step } from "@/core/job";
import { barredWords, dangerWords } from "./handling";
import type { Speaker } from "./speaker";
import { BRINGING_BACK } from "./steps/bring-back";
import { OPENING_UP } from "./steps/open-up";
import type { Phrases, StepWords } from "./steps/phrases";
import { SHUTTING_OFF } from "./steps/shut-off";

export type { StepWords } from "./steps/phrases";

/** Every kind of step in words: a kind without them does not compile. */
const PHRASES: Phrases = { ...SHUTTING_OFF, ...OPENING_UP, ...BRINGING_BACK };

/** What a card says to whoever reads it. */
export const stepWords = (speaker: Speaker, step: Step): StepWords =>
  (PHRASES[step.kind] as (speaker: Speaker, step: Step) => StepWords)(speaker, step);

export const stepTitle = (speaker: Speaker, step: Step): string => stepWords(speaker, step).title;

/** What can happen at a card, and the tools that would harm. */
export const stepDangers = (
  speaker: Speaker,
  { dangers, forbidden }: Step,
): { cautions: Caution[]; barred: { tool: string; why: string }[] } => ({
  cautions: dangers.map((danger) => dangerWords(speaker, danger)),
  barred: forbidden.map((each) => barredWords(speaker, each)),
});
