import type { Check, Disposition } from "../../formats";
import type { Progress } from "../progress";
import type { EntryRefusal } from "../refusal";
import type { StepHead } from "../step-head";
import { type AtEntry, type StepRule, startsWait } from "../step-rule";
import type { Piece } from "./pieces";
import { type Carried, expects, movesOf } from "./standing";

/** A look, a measurement or a trick of the sheet. */
export interface CheckFacts extends Carried {
  readonly kind: "check";
  readonly check: Check;
  /** The stack of which each piece is looked at, from the bottom up. */
  readonly pieces?: readonly Piece[];
  /** How often its part went back since it was new. */
  readonly served?: number;
  /** So long it is waited before all may be called well, min. */
  readonly wait_min?: number;
}

/** Where the wait of a look stands. */
export type LookWait =
  | { readonly kind: "none" }
  | { readonly kind: "not-started" }
  | { readonly kind: "runs"; readonly until: number };

export function lookWait({ id, wait_min }: StepHead & CheckFacts, { waits }: Progress): LookWait {
  const wait = waits.get(id);
  if (wait !== undefined) return { kind: "runs", until: wait.until };
  return { kind: wait_min === undefined ? "none" : "not-started" };
}

/** What is wrong shows when it shows; that all is well is not said before the wait is over. */
function tooEarly(step: StepHead & CheckFacts, { progress, at }: AtEntry): EntryRefusal | undefined {
  const wait = lookWait(step, progress);
  if (wait.kind === "not-started") return { path: "/step", kind: "wait-not-started" };
  if (wait.kind === "none" || at >= wait.until) return undefined;
  return { path: "/at", kind: "wait-not-over", minutes: Math.ceil((wait.until - at) / 60_000) };
}

/** A look that is answered with one of a few words. */
type Looked = Extract<Check, { kind: "choice" | "trick" }>;

/** What a piece of this name can look like. */
export const optionsOf = (
  { options }: Extract<Check, { kind: "pieces" }>,
  { name }: Piece,
): Extract<Check, { kind: "pieces" }>["options"] =>
  options.filter(({ pieces }) => pieces === undefined || pieces.includes(name));

/** What an answer of a look leads to. */
function leadsTo(check: Looked, answer: string): Disposition | undefined {
  if (check.kind === "trick") return (answer === "go" ? check.go : check.noGo).means;
  return check.options.find((option) => option.id === answer)?.means;
}

export const check: StepRule<CheckFacts> = {
  acts: ({ check: { id, phase }, wait_min, ...carried }) => [
    ...expects(carried),
    ...movesOf(carried),
    ...(wait_min === undefined ? [] : [{ do: "wait" as const, minutes: wait_min, for: "a-look" as const }]),
    { do: phase === "test" ? "test" : "look", check: id },
  ],
  takes: {
    "wait-started": (step, event, at) => {
      if (step.wait_min === undefined) return { path: "/kind", kind: "not-at-this-step", entry: event.kind };
      return startsWait({ ...step, minutes: step.wait_min }, event, at);
    },
    "check-answered": (step, { check: asked, answer }, at) => {
      const { check } = step;
      if (check.id !== asked) return { path: "/check", kind: "another-check", gave: "answer" };
      if (check.kind === "measure") return { path: "/kind", kind: "wants-a-figure" };
      if (check.kind === "pieces") return { path: "/kind", kind: "wants-each-piece" };
      const answers = check.kind === "trick" ? ["go", "no-go"] : check.options.map((option) => option.id);
      if (!answers.includes(answer)) return { path: "/answer", kind: "answer-one-of", answers };
      return leadsTo(check, answer) === "reuse" ? tooEarly(step, at) : undefined;
    },
    "check-measured": (step, { check: asked, si }, at) => {
      const { check } = step;
      if (check.id !== asked) return { path: "/check", kind: "another-check", gave: "figure" };
      if (check.kind !== "measure") return { path: "/kind", kind: "wants-a-choice" };
      return si < 0 && check.dimension !== "gauge pressure"
        ? { path: "/si", kind: "below-zero" }
        : tooEarly(step, at);
    },
    "piece-judged": ({ check, pieces = [] }, { check: asked, piece, answer }) => {
      if (check.id !== asked) return { path: "/check", kind: "another-check", gave: "answer" };
      const looked = pieces[piece - 1];
      if (check.kind !== "pieces") return { path: "/kind", kind: "wants-a-choice" };
      if (looked === undefined) return { path: "/piece", kind: "no-such-piece", of: pieces.length };
      const answers = optionsOf(check, looked).map(({ id }) => id);
      return answers.includes(answer) ? undefined : { path: "/answer", kind: "answer-one-of", answers };
    },
    "photo-taken": () => undefined,
  },
  stands: (step, { findings, progress }) => {
    const finding = findings.find((each) => each.check === step.check.id);
    if (finding === undefined) {
      const wait = lookWait(step, progress);
      return wait.kind === "runs" ? { kind: "running", until: wait.until } : { kind: "open" };
    }
    return { kind: finding.means === "stop" ? "halted" : "done" };
  },
};
