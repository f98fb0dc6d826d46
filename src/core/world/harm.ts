import type { Medium } from "../formats";

/** What goes wrong when an act is done as things stand, worst first. Ids; bar gauge; N·m. */
export type Harm =
  | {
      readonly kind: "opened-under-pressure";
      readonly part: string;
      readonly node: string;
      readonly bar: number;
      readonly medium: Medium;
    }
  | { readonly kind: "live-part-touched"; readonly part: string; readonly node: string }
  | { readonly kind: "let-out"; readonly node: string; readonly medium: Medium }
  /** Liquid meets a place below its triple point, or is left in one that is drawn below it: bar gauge. */
  | { readonly kind: "ice"; readonly node: string; readonly bar: number }
  /** Hot water reaches people past a mixer that has no power or was not proven. */
  | { readonly kind: "scald"; readonly node: string }
  /** Water stands on an actuator that no air holds: it trips, and the pipes behind it fill. */
  | { readonly kind: "trips"; readonly node: string }
  /** A refrigerant comes back to a place that still holds air. */
  | { readonly kind: "air-left-in"; readonly node: string; readonly medium: Medium }
  /** Steam meets a cold pipe that nobody warmed. */
  | { readonly kind: "hammer"; readonly node: string }
  /** Liquid flashes into a place without pressure. */
  | { readonly kind: "hits-empty"; readonly node: string; readonly medium: Medium }
  /** A pump runs on without a way for what it moves. */
  | { readonly kind: "runs-against"; readonly link: string }
  /** Others may lift into the open header that somebody works at; or a blank is left in what the valve blows into. */
  | { readonly kind: "header-open" | "vent-blanked"; readonly part: string; readonly header: string }
  | { readonly kind: "zero-not-proven"; readonly part: string; readonly node: string }
  | { readonly kind: "nothing-to-read"; readonly node: string }
  /** The place that is read does not tell of what is opened. */
  | { readonly kind: "reads-elsewhere"; readonly node: string }
  /** A wait that cannot show anything: what creeps in runs out through a point that stands open. */
  | { readonly kind: "wait-shows-nothing"; readonly node: string }
  | { readonly kind: "fire-protection-out-unsaid"; readonly node: string }
  | { readonly kind: "service-out-unsaid"; readonly node: string }
  | { readonly kind: "told-back-too-soon"; readonly node: string }
  | { readonly kind: "told-back-before-test"; readonly check: string }
  | { readonly kind: "signed-while-out"; readonly node: string }
  /** Shut and not locked: anybody may open it. */
  | { readonly kind: "not-locked"; readonly at: string }
  | { readonly kind: "not-agreed" }
  | { readonly kind: "anothers-lock"; readonly at: string; readonly job: string }
  | { readonly kind: "used-seal"; readonly part: string; readonly joint: string }
  | { readonly kind: "tight-before-its-fellows"; readonly part: string; readonly waits: string }
  | {
      readonly kind: "out-of-the-wrench";
      readonly part: string;
      readonly asked_Nm: number;
      readonly tool: string;
    }
  | { readonly kind: "forbidden-tool"; readonly part: string; readonly tool: string }
  | { readonly kind: "no-warning-of-weight"; readonly part: string; readonly kg: number }
  | { readonly kind: "cannot-be-done"; readonly act: string; readonly why: CannotBe }
  /** A card stands where what it needs does not hold. */
  | { readonly kind: "not-so"; readonly expected: Expected }
  /** Goes in new, and nobody was told to bring it before anything was shut. */
  | { readonly kind: "not-brought"; readonly part: string }
  /** Moved again after a test: what was tested is not what stays. */
  | { readonly kind: "moved-after-test"; readonly check: string }
  | { readonly kind: "asked-too-late"; readonly mark: string }
  /** A gate that stays shut though everything is as all believe it to be. */
  | { readonly kind: "stops-for-nothing" };

/** Why something cannot be done as things stand. */
export type CannotBe =
  | { readonly kind: "held-by"; readonly part: string }
  | { readonly kind: "off-already" | "on-already"; readonly part: string }
  | { readonly kind: "mover-is-off"; readonly part: string }
  | { readonly kind: "other-position"; readonly wanted: string; readonly stands: string }
  | { readonly kind: "under-a-cover"; readonly part: string }
  | { readonly kind: "under-a-cap"; readonly node: string }
  | { readonly kind: "no-power"; readonly node: string }
  | { readonly kind: "unknown"; readonly id: string };

/** What a card needs and does not find. */
export type Expected =
  | { readonly kind: "open" | "shut"; readonly link: string }
  | { readonly kind: "fed"; readonly node: string }
  | { readonly kind: "off" | "fitted" | "loose"; readonly part: string };

/** What stands otherwise at the end than service wants. */
export type EndDifference =
  | { readonly kind: "link"; readonly link: string; readonly stands: "open" | "shut" }
  | { readonly kind: "stem"; readonly node: string; readonly stands: string; readonly wanted: string }
  | { readonly kind: "locked"; readonly at: string }
  | { readonly kind: "cap-off"; readonly node: string }
  | { readonly kind: "point-open"; readonly node: string }
  | { readonly kind: "blank-in"; readonly header: string }
  | { readonly kind: "pump-stopped"; readonly link: string }
  | { readonly kind: "part-off"; readonly part: string }
  | { readonly kind: "part-loose"; readonly part: string }
  | { readonly kind: "spoiled-seal"; readonly part: string }
  | { readonly kind: "position"; readonly stands: string; readonly wanted: string }
  | { readonly kind: "without-service"; readonly node: string };

/** The order of severity: what can kill first. */
export const SEVERITY: readonly Harm["kind"][] = [
  "opened-under-pressure",
  "live-part-touched",
  "let-out",
  "ice",
  "scald",
  "trips",
  "hammer",
  "vent-blanked",
  "header-open",
  "zero-not-proven",
  "not-locked",
  "not-agreed",
  "reads-elsewhere",
  "nothing-to-read",
  "wait-shows-nothing",
  "fire-protection-out-unsaid",
  "told-back-too-soon",
  "told-back-before-test",
  "signed-while-out",
  "anothers-lock",
  "air-left-in",
  "hits-empty",
  "runs-against",
  "no-warning-of-weight",
  "used-seal",
  "tight-before-its-fellows",
  "out-of-the-wrench",
  "forbidden-tool",
  "service-out-unsaid",
  "cannot-be-done",
  "not-brought",
  "moved-after-test",
  "not-so",
  "asked-too-late",
  "stops-for-nothing",
];
