import { entryOf, type StepRule } from "../step-rule";

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
  readonly choices: readonly string[];
}

export const mark: StepRule<MarkFacts> = {
  takes: {
    "step-done": ({ choices }, event) =>
      choices.includes(entryOf(event)) ? undefined : { path: "/entry", kind: "choose-one-of", choices },
    "photo-taken": () => undefined,
  },
  acts: ({ mark }) => [{ do: "note", mark }],
};
