import type { Part } from "../../formats";
import { entryOf, type StepRule } from "../step-rule";
import { type NotedFigure, refuseFigure } from "./noted-figure";

/** What is noted before anything moves: what the sheet asks, or where a loose end sits. */
export type Noted =
  | { readonly kind: "said"; readonly ask: string; readonly why: string }
  | {
      readonly kind: "sits";
      readonly name: string;
      readonly colour?: string;
      readonly end: "port" | "terminal" | "hose" | "wire";
      /** Either way round works. */
      readonly free: boolean;
    };

export interface MarkFacts {
  readonly kind: "mark";
  readonly mark: string;
  readonly about: Noted;
  /** What it can be; none where a figure is noted. */
  readonly choices: readonly string[];
  readonly figure?: NotedFigure;
  /** What a choice looks like. */
  readonly shapes?: Readonly<Record<string, Part["shape"]>>;
  /** Where a pointer stands at each choice, degrees clockwise from the top. */
  readonly dials?: Readonly<Record<string, number>>;
  /** It is not noted without a photograph. */
  readonly photo?: true;
  /** How it has to be: what is found otherwise is put right. */
  readonly right?: string;
  /** Places that hold another end already. */
  readonly taken?: readonly { readonly place: string; readonly by: string }[];
}

export const mark: StepRule<MarkFacts> = {
  takes: {
    "step-done": ({ id, choices, figure, photo, taken = [] }, event, { progress }) => {
      const noted = entryOf(event);
      if (photo === true && !progress.photos.some(({ step }) => step === id))
        return { path: "/step", kind: "photograph-first" };
      if (figure !== undefined) return refuseFigure(noted, figure);
      if (!choices.includes(noted)) return { path: "/entry", kind: "choose-one-of", choices };
      const other = taken.find((each) => each.place === noted);
      return other === undefined ? undefined : { path: "/entry", kind: "place-is-taken", ...other };
    },
    "photo-taken": () => undefined,
  },
  acts: ({ mark }) => [{ do: "note", mark }],
};
