import type { Medium } from "../../formats";
import type { ActReason, ClosureReason } from "../../isolation";
import { lockedOn, type StepRule } from "../step-rule";

/** One way in is shut and locked: a valve, a switch, a three-way stem. */
export interface ShutFacts {
  readonly kind: "shut";
  /** The valve of the line, or the node of a three-way one. */
  readonly link: string;
  readonly name: string;
  readonly lockable: boolean;
  readonly where?: string;
  readonly turns?: number;
  readonly by: ShutBy;
}

export type ShutBy =
  | {
      readonly kind: "closure";
      readonly medium: Medium;
      readonly standsShut: boolean;
      readonly outer: boolean;
      readonly confined: boolean;
      readonly why: ClosureReason;
      readonly now: ActReason;
      /** The tag that another job holds it shut for. */
      readonly heldFor?: string;
    }
  /** By the names of its positions, and the id of the one it is turned to. */
  | {
      readonly kind: "turning";
      readonly from: string;
      readonly to: string;
      readonly position: string;
      /** A cap sits over the stem: off first. */
      readonly capped?: boolean;
      /** It stands so already: looked at, locked and left so. */
      readonly stands?: boolean;
    }
  /** Shut before the plan changed: it stays shut, and is no barrier where it was found to pass. */
  | { readonly kind: "shut-before"; readonly passes: boolean };

export const shut: StepRule<ShutFacts> = {
  ...lockedOn,
  acts: ({ link, by }) => {
    const lock = { do: "lock" as const, at: link };
    switch (by.kind) {
      case "turning":
        return [
          ...(by.capped === true ? [{ do: "uncap" as const, node: link }] : []),
          { do: "turn", node: link, to: by.position },
          lock,
        ];
      case "closure":
        return [{ do: by.medium === "electricity" ? "switch-off" : "shut", link }, lock];
      case "shut-before":
        return [{ do: "shut", link }, lock];
    }
  },
};
