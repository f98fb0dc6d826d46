import type { Caution, Check, EndCondition, Feature, Part } from "../formats";

/** The order every job goes in. */
export const PHASES = [
  "triage",
  "prepare",
  "isolate",
  "prove",
  "mark",
  "strip",
  "inspect",
  "rebuild",
  "restore",
  "test",
  "sign-off",
] as const;
export type Phase = (typeof PHASES)[number];

export const PHASE_NAMES: Record<Phase, string> = {
  triage: "Triage",
  prepare: "Prepare",
  isolate: "Isolate",
  prove: "Prove",
  mark: "Mark",
  strip: "Strip",
  inspect: "Inspect",
  rebuild: "Rebuild",
  restore: "Restore",
  test: "Test",
  "sign-off": "Sign off",
};

/** A tool as a step asks for it: what may stand in, and what must not be used. */
export interface ToolUse {
  readonly id: string;
  readonly name: string;
  readonly substitutes: readonly string[];
}

/** One line of a list to collect: what, and why. */
export interface ListLine {
  readonly name: string;
  readonly note: string;
}

interface StepBase {
  /** Stays the same when the plan is compiled anew, so that what was done is found again. */
  readonly id: string;
  readonly phase: Phase;
  /** Plain imperative. */
  readonly title: string;
  readonly why: string;
  readonly minutes: number;
  readonly tools: readonly ToolUse[];
  readonly forbidden: readonly { readonly tool: string; readonly why: string }[];
  readonly cautions: readonly Caution[];
  /** Short facts worth a chip: "from a step ago: mark meets". */
  readonly cues: readonly string[];
  readonly part?: string;
  /** How the valve stands before and after, in words. */
  readonly stands?: { readonly before: string; readonly after: string };
  /** The sheet and the law allow skipping it, with a reason. A safety step never does. */
  readonly mayOverride: boolean;
}

/** One pass of a tightening pattern. */
export interface Pass {
  readonly percent: number;
  readonly torque_Nm: number;
  /** The last, circular pass: every bolt in turn until none moves. */
  readonly circular: boolean;
}

export type StepKind =
  | { readonly kind: "do" }
  | { readonly kind: "collect"; readonly lines: readonly ListLine[] }
  | {
      readonly kind: "shut";
      readonly link: string;
      readonly lockable: boolean;
      readonly where?: string;
      readonly turns?: number;
    }
  | { readonly kind: "write-down"; readonly ask: string }
  | { readonly kind: "blocked"; readonly reason: string }
  | {
      readonly kind: "gauge";
      readonly zero_bar: number;
      readonly again: boolean;
      readonly temperature: boolean;
    }
  | { readonly kind: "wait"; readonly lookAt: string }
  | { readonly kind: "capture"; readonly ask: string; readonly choices: readonly string[] }
  /** What was noted before the strip, shown again: it has to be so now. */
  | {
      readonly kind: "confirm";
      readonly noted: string;
      readonly choices: readonly string[];
      readonly mark: string;
    }
  /** Work with pressure behind it: asked twice, in the sheet's own words. */
  | { readonly kind: "ask-twice"; readonly allowed: string }
  /** The joint is cracked while some bolts stay in. */
  | { readonly kind: "crack"; readonly stay: number; readonly of: number }
  | { readonly kind: "strip"; readonly count: number; readonly pieces: readonly Piece[] }
  | { readonly kind: "check"; readonly check: Check }
  | {
      readonly kind: "fit";
      readonly renew: boolean;
      readonly end: EndCondition;
      readonly loose: boolean;
      readonly rules: readonly FitRule[];
      readonly torque_Nm?: number;
      /** Never beyond this, N·m, with what is on the thread. */
      readonly limit_Nm?: number;
      readonly count: number;
      readonly pieces: readonly Piece[];
      /** What the new part is compared by before it goes in. */
      readonly features: readonly Feature[];
    }
  | {
      readonly kind: "tighten";
      readonly bolts: number;
      readonly order: readonly number[];
      readonly passes: readonly Pass[];
      readonly note: string;
      readonly circle: string;
      /** Never beyond this, N·m, with what is on the thread. */
      readonly limit_Nm?: number;
    }
  /** @param leftovers pieces that are right to be left on the bench */
  | { readonly kind: "tray"; readonly leftovers: number }
  | {
      readonly kind: "open";
      readonly link: string;
      readonly leaveShut: boolean;
      readonly where?: string;
      readonly turns?: number;
    }
  | { readonly kind: "sign-off" };

/** A piece of a stack, from the bottom up. */
export type Piece = NonNullable<Part["pieces"]>[number];

/** What goes on a surface or thread, or must not. */
export interface FitRule {
  readonly kind: "orientation" | "lubricate" | "dry" | "locker" | "anti-seize" | "sealant" | "as-noted";
  readonly says: string;
  readonly why?: string;
}

export type Step = StepBase & StepKind;
export type StepOf<K extends Step["kind"]> = Extract<Step, { kind: K }>;

/** A step with the usual blanks filled in. */
export function step<K extends StepKind>(
  head: Pick<StepBase, "id" | "phase" | "title" | "why" | "minutes"> & Partial<StepBase>,
  body: K,
): Step {
  return { tools: [], forbidden: [], cautions: [], cues: [], mayOverride: false, ...head, ...body } as Step;
}
