import type { JobInputs, SheetSum } from "../../formats";
import type { Step } from "../step";
import type { BenchLink, Rule } from "./rule";

/** What the sheet itself says that decides at a card of its own, with what its checks have measured. */
export const ofTheSheet: Rule = ({ inputs, progress }, step) =>
  sumsAt(inputs.sheet, step).map(({ sum, start = {}, known = {} }): BenchLink => {
    const measured = Object.entries(known).flatMap(([field, check]) => {
      const given = progress.answers.get(check)?.answer;
      return given?.kind === "measured" ? [[field, given.typed] as const] : [];
    });
    return { calculator: sum, start: { ...start, ...Object.fromEntries(measured) }, decides: true };
  });

export function sumsAt(sheet: JobInputs["sheet"], step: Step): readonly SheetSum[] {
  switch (step.kind) {
    case "check":
      return step.check.sums ?? [];
    case "task":
      return sheet.tasks?.find(({ id }) => id === step.task)?.sums ?? [];
    case "ready":
      return sheet.restore.find(({ id }) => id === step.card)?.sums ?? [];
    case "kit":
      return sheet.beforeTrip ?? [];
    default:
      return [];
  }
}
