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
  /** How it has to be: what is found otherwise is put right. */
  readonly right?: string;
  /** Places that hold another end already. */
  readonly taken?: readonly { readonly place: string; readonly by: string }[];
}

export const mark: StepRule<MarkFacts> = {
  takes: {
    "step-done": ({ choices, taken = [] }, event) => {
      const noted = entryOf(event);
      if (!choices.includes(noted)) return { path: "/entry", kind: "choose-one-of", choices };
      const other = taken.find((each) => each.place === noted);
      return other === undefined ? undefined : { path: "/entry", kind: "place-is-taken", ...other };
    },
    "photo-taken": () => undefined,
  },
  acts: ({ mark }) => [{ do: "note", mark }],
};
