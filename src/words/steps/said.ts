import type { Doing, Noted } from "@/core/job";
import type { Speaker } from "../speaker";

/** What is done at a strip step. */
export const doingWords = ({ say }: Speaker, doing: Doing): string =>
  doing.kind === "said" ? doing.says : say.steps.strip.lastOut(doing.stay, doing.name);

/** What is noted, as a question. */
export function notedAsk({ say }: Speaker, about: Noted): string {
  if (about.kind === "said") return about.ask;
  const name = [about.colour, about.name].filter((each) => each !== undefined).join(" ");
  return say.steps.mark.where(say.common.within(name));
}

export function notedWhy({ say }: Speaker, about: Noted): string {
  if (about.kind === "said") return about.why;
  const words = say.steps.mark;
  return about.free ? words.free : about.end === "hose" ? words.port : words.terminal;
}
