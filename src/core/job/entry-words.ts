import type { JobEvent } from "../formats";
import { formatQuantity, type UnitSystem } from "../quantity";
import type { Run } from "./run";
import { PHASE_NAMES, type Phase, type Step } from "./step";

/** An entry of the log in words: the phase it belongs to, what it was about, and what was entered. */
export interface EntryWords {
  readonly phase: Phase | undefined;
  readonly what: string;
  readonly entry: string;
}

/** What a figure of the bench book is called, by calculation and output; the book is heavy, and not every page has it. */
export type TitleOf = (calculator: string, output: string) => string | undefined;

/** An entry as a person reads it, by the plan as it stands in this run. */
export function entryWords(job: Run, event: JobEvent, titleOf: TitleOf = () => undefined): EntryWords {
  const step =
    "step" in event && event.step !== undefined
      ? job.plan.steps.find((each) => each.id === event.step)
      : undefined;
  const name = (id: string) => job.inputs.sheet.parts.find((part) => part.id === id)?.name ?? id;
  return {
    phase: step?.phase,
    what: subjectOf(event, step, name, titleOf),
    entry: entryOf(event, step, job.system),
  };
}

/** What an entry was about. */
function subjectOf(
  event: JobEvent,
  step: Step | undefined,
  name: (part: string) => string,
  titleOf: TitleOf,
): string {
  switch (event.kind) {
    case "undone":
      return "Undone: the entry before";
    case "stopped":
      return "Stopped work";
    case "resumed":
      return "Took the work up again";
    case "closure-passes":
      return `Found ${event.link} to pass`;
    case "note-added":
      return "Note";
    case "result-kept":
      return titleOf(event.calculator, event.output) ?? "Worked out";
    case "signed-off":
      return PHASE_NAMES["sign-off"];
    case "given-up":
      return "Closed as not begun";
    case "part-judged":
      return `${event.disposition === "renew" ? "Renew" : "Reuse"} ${name(event.part)}`;
    default:
      return step?.title ?? event.step;
  }
}

/** The marks and sizes a new part was compared by. */
export const foundWords = (
  found: Extract<JobEvent, { kind: "part-compared" }>["found"],
  system: UnitSystem,
): string =>
  found
    .map(
      (each) => `${each.name} ${each.said ?? each.typed ?? formatQuantity(each.si ?? 0, "length", system)}`,
    )
    .join(", ");

/** The words on the button that was pressed. */
function answerWords(step: Step | undefined, answer: string): string {
  if (step?.kind !== "check" || step.check.kind === "measure") return answer;
  const { check } = step;
  if (check.kind === "trick") return (answer === "go" ? check.go : check.noGo).label;
  return check.options.find((option) => option.id === answer)?.label ?? answer;
}

/** What was entered. */
function entryOf(event: JobEvent, step: Step | undefined, system: UnitSystem): string {
  switch (event.kind) {
    case "step-done":
      return event.entry ?? "";
    case "reading-taken":
    case "check-measured":
    case "result-kept":
      return event.typed;
    case "check-answered":
      return answerWords(step, event.answer);
    case "bolt-pulled":
      return `pass ${event.pass}, bolt ${event.bolt}${
        event.reading_Nm === undefined ? "" : `, read ${formatQuantity(event.reading_Nm, "torque", system)}`
      }`;
    case "piece-set":
      return `piece ${event.piece}`;
    case "part-compared":
      return foundWords(event.found, system);
    case "still-pressure":
      return "pressure still behind it";
    case "photo-taken":
      return "photograph";
    case "wait-started":
      return `${event.minutes} min`;
    case "note-added":
      return event.text;
    case "stopped":
    case "given-up":
    case "step-overridden":
    case "part-judged":
      return event.reason;
    case "signed-off":
      return event.statement;
    default:
      return "";
  }
}
