import type { Services } from "../services";

/** What is there before the first bell can ring and the first job be signed. */
export type FirstStep = "people" | "place" | "line" | "valve" | "sheet" | "store";

export interface FirstHour {
  readonly steps: readonly { readonly step: FirstStep; readonly done: boolean }[];
  /** The next one; nothing when all are done. */
  readonly next: FirstStep | undefined;
}

/** How far somebody has come who begins with an empty folder. */
export function firstHour({ library, register, things }: Services): FirstHour {
  const valves = register.count() > 0;
  const done: Readonly<Record<FirstStep, boolean>> = {
    people: library.crew().length > 0,
    place: things.all("place").length > 0,
    line: library.lineSummaries().length > 0,
    valve: valves,
    // A sheet of one's own: those of the library are to learn on.
    sheet: library.sheets().some(({ demonstration }) => demonstration !== true),
    store: library.stores().length > 0,
  };
  const steps = (Object.keys(done) as FirstStep[]).map((step) => ({ step, done: done[step] }));
  return { steps, next: steps.find((each) => !each.done)?.step };
}
