import type { ActReason } from "../../isolation";
import { type StepRule, ticked } from "../step-rule";

/** A way in comes back: its lock off, opened, switched on, turned back, or left shut as it stands. */
export interface OpenFacts {
  readonly kind: "open";
  readonly link: string;
  readonly name: string;
  readonly how: "open" | "switch-on" | "turn-back" | "leave-shut" | "leave-stem";
  readonly why: ActReason;
  /** Slowly, as what lies behind may be empty. */
  readonly crack: boolean;
  /** The vent that lets the air out as this one fills the line. */
  readonly airOut?: string;
  /** By a crack, and so for this long: it warms what lies behind. */
  readonly warm_min?: number;
  /** The position a stem is turned back to. */
  readonly position?: string;
  /** Its cap goes on again. */
  readonly capped?: boolean;
  /** The number of the lock that was put on. */
  readonly lock?: string;
  readonly where?: string;
  readonly turns?: number;
}

export const open: StepRule<OpenFacts> = {
  ...ticked,
  acts: ({ link, how, position, crack, airOut, capped, warm_min }) => {
    const unlock = { do: "unlock" as const, at: link };
    const capOn = capped === true ? [{ do: "cap" as const, node: link }] : [];
    switch (how) {
      case "open":
        return [
          unlock,
          {
            do: "open",
            link,
            crack,
            ...(airOut !== undefined && { airOut }),
            ...(warm_min !== undefined && { warm_min }),
          },
        ];
      case "switch-on":
        return [unlock, { do: "switch-on", link }];
      case "turn-back":
        return [unlock, { do: "turn", node: link, to: position ?? "" }, ...capOn];
      case "leave-stem":
        return [unlock, ...capOn];
      case "leave-shut":
        return [unlock];
    }
  },
};
