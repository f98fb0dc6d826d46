import type { ProvePlace, StepKind, StepOf } from "@/core/job";
import type { Speaker } from "../speaker";

/** What a card says. */
export interface StepWords {
  /** Plain imperative. */
  readonly title: string;
  readonly why: string;
  /** Short facts worth a chip. */
  readonly cues?: readonly string[];
  /** What is to be written down. */
  readonly ask?: string;
  /** What to do when a wait is over. */
  readonly afterwards?: string;
  /** Why nothing may go on. */
  readonly reason?: string;
}

/** Kinds of steps in words. */
export type Phrases = { readonly [K in StepKind]: (speaker: Speaker, step: StepOf<K>) => StepWords };

/** At a place of the line by its name, at the valve in the sheet's words. */
export const placed = (
  where: ProvePlace,
  words: { readonly title: (where: string) => string; readonly at: (name: string) => string },
): string => (where.kind === "said" ? words.title(where.at) : words.at(where.name));
