import type { Medium, Stream } from "../formats";
import type { PermitKind } from "../line";
import type { Problem } from "../result";
import type { Unfit } from "./barrier";
import type { PathStep } from "./open-path";
import type { ProvePoint } from "./prove";
import type { Section } from "./section";
import type { StoredEnergy } from "./stored";

/** What will be opened, and what the plan has to heed. */
export interface IsolationDemand {
  /** Ids of nodes or links that will be open to a person; what is of the same equipment comes with them. */
  readonly open: readonly string[];
  /** Valves found to pass today, beside those the line knows of. */
  readonly passing?: readonly string[];
  readonly avoid?: readonly string[];
  /** Consumers to keep in service. */
  readonly keep?: readonly string[];
  /** Vessels that will be pumped out first: they are then part of what is shut in, and push nothing. */
  readonly pumpedOut?: readonly string[];
}

/** Somebody who goes without. */
export interface LostConsumer {
  readonly node: string;
  readonly name: string;
  readonly hydrant: boolean;
  readonly protects: boolean;
  /** It still has this: who is used to hot water gets cold alone. */
  readonly left?: "cold";
  /** It has service only when a valve opens that stands shut on an ordinary day: then it would find nothing. */
  readonly asleep?: true;
}

/** A valve that is shut and locked, or found shut and locked so. */
export interface Closure {
  readonly link: string;
  readonly name: string;
  readonly where?: string;
  readonly minutes: number;
  readonly lockable: boolean;
  readonly turns?: number;
  /** The barrier next to the work, or the one behind it where two are asked for. */
  readonly barrier: "inner" | "outer";
  readonly medium: Medium;
  /** What it holds back: decides when it is shut and opened. */
  readonly stream: Stream | Medium;
  /** It stands shut on an ordinary day: check it, lock it, and leave it shut afterwards. */
  readonly standsShut: boolean;
  readonly confined: boolean;
  readonly why: ClosureReason;
}

/** What a closure cuts the work off from, and which nearer valve could not be used. */
export interface ClosureReason {
  /** The energy behind it, by name; without one it keeps pressure from coming back. */
  readonly feeder?: string;
  readonly insteadOf: readonly { readonly link: string; readonly unfit: Unfit }[];
  /** As the line says it. */
  readonly hardToReach?: string;
}

/** What lets out whatever creeps past the outer barrier: it stays open while the work is open. */
export interface Bleed {
  readonly node: string;
  readonly name: string;
  readonly between: readonly string[];
}

/** A three-way valve that is turned for the work, or that shuts off what is opened as it stands. */
export interface Turned {
  readonly node: string;
  readonly name: string;
  readonly where?: string;
  readonly from: { readonly id: string; readonly name: string };
  readonly to: { readonly id: string; readonly name: string };
  readonly minutes: number;
  readonly lockable: boolean;
  /** A cap sits over its stem. */
  readonly capped?: boolean;
  /** It stands so on an ordinary day: check it, lock it, and leave it so afterwards. */
  readonly stands?: boolean;
}

/** A way round what is shut, opened meanwhile. */
export interface Bypass {
  readonly link: string;
  readonly name: string;
  readonly where?: string;
  readonly minutes: number;
  readonly keeps: readonly LostConsumer[];
}

/** A pump that is stopped for the work. */
export interface PumpAt {
  readonly link: string;
  readonly name: string;
  /** It could not push into what is opened: it would only run against what is shut. */
  readonly idle?: true;
}

/** One thing done to the line, and why at this place in the order. */
export interface Act {
  readonly kind:
    | "open-bypass"
    | "stop-pump"
    | "switch-off"
    | "shut"
    | "turn"
    | "hold-stem"
    | "pump-out"
    | "open-bleed"
    | "shut-bleed"
    | "shut-drain"
    | "shut-vent"
    | "turn-back"
    | "leave-stem"
    | "open"
    | "leave-shut"
    | "switch-on"
    | "start-pump"
    | "shut-bypass";
  /** The link or node that is handled. */
  readonly id: string;
  readonly name: string;
  readonly why: ActReason;
  /** Of the valve that fills the section: the vent that stays open until the air is out. */
  readonly airOut?: string;
}

/** Why an act stands where it stands in the order. */
export type ActReason =
  /** By name: who stays in service by it. */
  | { readonly kind: "keeps-in-service"; readonly names: readonly string[] }
  | { readonly kind: "pumps-first" }
  /** It stands outside of what is opened, but has no way left for what it moves. */
  | { readonly kind: "would-run-against" }
  | { readonly kind: "pumps-last" }
  /** Its place among the streams; the first of all is shut from the feed on. */
  | { readonly kind: "shut-in-order"; readonly stream: Stream | Medium; readonly first: boolean }
  /** The first of its stream lies lowest; of two barriers the inner one opens into nothing. */
  | {
      readonly kind: "opened-in-order";
      readonly stream: Stream | Medium;
      readonly first: boolean;
      readonly inner: boolean;
    }
  | { readonly kind: "still-drawn-down" }
  | { readonly kind: "shuts-off-what-is-opened" }
  | { readonly kind: "bleeds-between"; readonly between: readonly string[] }
  | { readonly kind: "leads-outside" }
  | { readonly kind: "before-the-medium" }
  /** It let air in: it stays open until the air is out again. */
  | { readonly kind: "when-the-air-is-out" }
  | { readonly kind: "as-it-stood" }
  | { readonly kind: "stands-shut" }
  | { readonly kind: "stands-so" }
  /** Another job holds it, too: whoever takes the last lock off opens it. */
  | { readonly kind: "held-by-another"; readonly valve: string }
  /** It was shut before the plan changed. */
  | { readonly kind: "shut-before" };

/** A stretch full of liquid with every way out shut: warming alone can burst it. */
export interface LockedPiece {
  readonly nodes: readonly string[];
  readonly medium: Medium;
  readonly volume_L: number;
  readonly barPerKelvin: number;
  /** Warming until the rating of the piping is reached, where the line names one. */
  readonly kelvinToRating?: number;
  /** The section that is opened: locked only until it is drained. */
  readonly untilDrained: boolean;
}

/** What to shut, and all that follows. Minutes; ids of the line. */
export interface IsolationPlan {
  readonly closures: readonly Closure[];
  /** Three-way valves to turn, with the position they stand in afterwards. */
  readonly turned: readonly Turned[];
  readonly bleeds: readonly Bleed[];
  readonly minutes: number;
  /** False when the search stopped at its bound: then a cheaper plan may exist, but this one is safe. */
  readonly exact: boolean;
  /** Everything that is done with the line to make it dead, and to bring it back, each in its order with the reason. */
  readonly shutting: readonly Act[];
  readonly restoring: readonly Act[];
  readonly section: Section;
  /** Who goes without, bypasses open. */
  readonly lost: readonly LostConsumer[];
  readonly bypasses: readonly Bypass[];
  readonly pumps: readonly PumpAt[];
  readonly pumpedOut: readonly { readonly node: string; readonly name: string }[];
  readonly prove: readonly ProvePoint[];
  readonly locked: readonly LockedPiece[];
  readonly stored: readonly StoredEnergy[];
  readonly permits: readonly PermitKind[];
}

/** Why nothing can be opened there, with what a message needs. */
export type IsolationFailure =
  | { readonly kind: "bad-line"; readonly problems: readonly Problem[] }
  | { readonly kind: "nothing-to-open" }
  | { readonly kind: "unknown-place"; readonly name: string }
  | {
      readonly kind: "no-isolation";
      readonly openPath: readonly PathStep[];
      readonly makeGood: readonly (PathStep & { readonly unfit: Unfit })[];
      /** Only one barrier can be had where the rule asks for two. */
      readonly second: boolean;
      /** The vessel at the head of the path: pumped out, it pushes no more. */
      readonly pumpOut?: PathStep;
    }
  | { readonly kind: "no-bleed"; readonly inner: readonly PathStep[]; readonly outer: readonly PathStep[] }
  /** Every plan would leave a vessel without a relief valve. */
  | { readonly kind: "unprotected"; readonly vessels: readonly PathStep[] };
