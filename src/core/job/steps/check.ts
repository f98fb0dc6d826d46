import type { Check } from "../../formats";
import type { StepRule } from "../step-rule";
import { type Carried, expects, movesOf } from "./standing";

/** A look, a measurement or a trick of the sheet. */
export interface CheckFacts extends Carried {
  readonly kind: "check";
  readonly check: Check;
}

export const check: StepRule<CheckFacts> = {
  acts: ({ check: { id, phase }, ...carried }) => [
    ...expects(carried),
    ...movesOf(carried),
    { do: phase === "test" ? "test" : "look", check: id },
  ],
  takes: {
    "check-answered": ({ check }, { check: asked, answer }) => {
      if (check.id !== asked) return { path: "/check", kind: "another-check", gave: "answer" };
      if (check.kind === "measure") return { path: "/kind", kind: "wants-a-figure" };
      const answers = check.kind === "trick" ? ["go", "no-go"] : check.options.map((option) => option.id);
      return answers.includes(answer) ? undefined : { path: "/answer", kind: "answer-one-of", answers };
    },
    "check-measured": ({ check }, { check: asked, si }) => {
      if (check.id !== asked) return { path: "/check", kind: "another-check", gave: "figure" };
      if (check.kind !== "measure") return { path: "/kind", kind: "wants-a-choice" };
      return si < 0 && check.dimension !== "gauge pressure" ? { path: "/si", kind: "below-zero" } : undefined;
    },
    "photo-taken": () => undefined,
  },
  stands: ({ check }, { findings }) => {
    const finding = findings.find((each) => each.check === check.id);
    if (finding === undefined) return { kind: "open" };
    return { kind: finding.means === "stop" ? "halted" : "done" };
  },
};
