import type { Part, Way } from "../../formats";
import { entryOf, type StepRule } from "../step-rule";
import type { NamedRenewal } from "./kit";
import { type Counted, refuseCount, refusePiece } from "./pieces";

/** What is done, in the sheet's words; or the last bolts of a joint that was cracked come out. */
export type Doing =
  | { readonly kind: "said"; readonly says: string }
  | { readonly kind: "last-out"; readonly stay: number; readonly name: string };

/** A part comes off. */
export interface StripFacts extends Counted {
  readonly kind: "strip";
  readonly name: string;
  readonly does: Doing;
  /** Why: as the sheet says, or what it holds, or that the job came for it. */
  readonly why:
    | { readonly kind: "said"; readonly says: string }
    | { readonly kind: "holds"; readonly parts: readonly string[] }
    | { readonly kind: "came-for-it" }
    | { readonly kind: "to-be-renewed-or-seen" };
  readonly keep?: string;
  readonly renewal?: NamedRenewal;
  readonly marks?: string;
  readonly fastener?: Pick<NonNullable<Part["fastener"]>, "thread" | "drive" | "lengths">;
  /** Not taken out: slackened it lets go. */
  readonly slackened?: true;
  readonly grip?: NonNullable<Way["grip"]>;
  readonly standIn?: NonNullable<Part["standIn"]>;
}

export const strip: StepRule<StripFacts> = {
  acts: ({ part = "", tools, dangers }) => [
    {
      do: "take-off",
      part,
      tools,
      warned: dangers.some((each) => each.kind === "drops"),
    },
  ],
  takes: {
    "piece-set": (step, { piece }, at) => refusePiece(step, piece, at),
    "photo-taken": () => undefined,
    "step-done": (step, event, { progress }) => refuseCount(step, entryOf(event), progress),
  },
};
