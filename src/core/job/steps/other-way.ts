import type { StepRule } from "../step-rule";
import { refuseTick, refuseUnticked, type TickLine } from "./lines";

/** Freed or cleaned another way than its sheet does, because whoever opened the job chose so. */
export interface OtherWayFacts {
  readonly kind: "other-way";
  readonly way: "oil" | "shock" | "water" | "dry";
  /** The task it takes the place of; none where its sheet does nothing there. */
  readonly task?: string;
  /** In the words of who chose it. */
  readonly why: string;
  /** Ticked one by one. */
  readonly lines?: readonly TickLine[];
}

export const otherWay: StepRule<OtherWayFacts> = {
  takes: {
    "line-ticked": ({ lines }, { line }) => refuseTick(lines, line),
    "step-done": (step, _, { progress }) => refuseUnticked(step, progress),
    "photo-taken": () => undefined,
  },
  acts: ({ task }) => (task === undefined ? [] : [{ do: "work-on", task }]),
};
