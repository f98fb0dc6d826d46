import type { ToolClass } from "../formats";

/** What a wait is for: what creeps in is to show, something soaks, cures or loses its charge, a look needs its time. */
export type WaitsFor = "the-section" | "a-soak" | "a-cure" | "a-charge" | "a-look";

/**
 * What a card asks a person to do, one thing at a time. Links, nodes, parts, checks and marks by their ids; pressures
 * in bar gauge, torques in N·m, times in minutes.
 */
export type Act =
  // The line.
  | { readonly do: "shut"; readonly link: string }
  /** By a crack: what lies behind fills slowly. */
  | {
      readonly do: "open";
      readonly link: string;
      readonly crack: boolean;
      /** The vent that lets the air out meanwhile. */
      readonly airOut?: string;
      /** Left cracked for so long until what lies behind is warm. */
      readonly warm_min?: number;
    }
  | { readonly do: "switch-off"; readonly link: string }
  | { readonly do: "switch-on"; readonly link: string }
  | { readonly do: "turn"; readonly node: string; readonly to: string }
  /** The cap over a stem. */
  | { readonly do: "uncap"; readonly node: string }
  | { readonly do: "cap"; readonly node: string }
  | { readonly do: "lock"; readonly at: string }
  | { readonly do: "unlock"; readonly at: string }
  | { readonly do: "stop-pump"; readonly link: string }
  | { readonly do: "start-pump"; readonly link: string }
  /** A drain, a vent, a bleed. */
  | {
      readonly do: "open-point";
      readonly node: string;
      /** Somebody stands and watches what runs out: a sample, a flush. */
      readonly watched?: boolean;
    }
  | { readonly do: "shut-point"; readonly node: string }
  /** Until nothing more runs. */
  | { readonly do: "drain"; readonly node: string }
  | { readonly do: "pump-down"; readonly node: string }
  /** Liquid leaves a vessel while it stands above its triple point. */
  | { readonly do: "let-liquid-out"; readonly node: string }
  /** Air is drawn out of what was open. */
  | { readonly do: "evacuate"; readonly node: string }
  /** Vapour is let in by a hose, to this pressure. */
  | { readonly do: "charge"; readonly node: string; readonly to_bar: number }
  /** A gate: what reads lower stops the work. */
  | { readonly do: "read-above"; readonly node: string; readonly bound_bar: number }
  /** What a card asks to hold before it is done. Links that stand open or shut; parts off, on, on and not tight. */
  | {
      readonly do: "expect";
      readonly open: readonly string[];
      readonly shut: readonly string[];
      /** Places that hold pressure. */
      readonly fed: readonly string[];
      readonly off: readonly string[];
      readonly fitted: readonly string[];
      readonly loose: readonly string[];
    }
  /** Other jobs take their locks off and open what they held. */
  | { readonly do: "others-open"; readonly at: readonly string[] }
  /** What is left is let out at the valve itself, on the rung its sheet names. */
  | { readonly do: "release"; readonly withPower?: boolean }
  | { readonly do: "let-go-of-stored" }
  | { readonly do: "wait"; readonly minutes: number; readonly for: WaitsFor }
  /** Zero is read; by the site's own drawing where no line is drawn. */
  | { readonly do: "read-zero"; readonly node?: string; readonly bound_bar: number }
  | { readonly do: "prove-dead"; readonly node: string }
  // People.
  | { readonly do: "tell"; readonly nodes: readonly string[] }
  | { readonly do: "tell-back"; readonly nodes: readonly string[] }
  | { readonly do: "agree"; readonly about: "permits" | "work-under-pressure" }
  | { readonly do: "sign"; readonly named?: readonly string[] }
  | { readonly do: "tag" }
  // What is known.
  | { readonly do: "look"; readonly check: string }
  | { readonly do: "test"; readonly check: string }
  | { readonly do: "note"; readonly mark: string }
  | { readonly do: "confirm"; readonly mark: string }
  // The valve.
  | { readonly do: "protect" }
  | { readonly do: "bring"; readonly parts: readonly string[] }
  | { readonly do: "move"; readonly to: string }
  | { readonly do: "crack"; readonly part: string }
  | {
      readonly do: "take-off";
      readonly part: string;
      /** The tools in hand; and whether the card says that something heavy drops. */
      readonly tools: readonly { readonly id: string; readonly class?: ToolClass }[];
      readonly warned: boolean;
    }
  /** A blank in a vent header that others blow into. */
  | { readonly do: "blank" }
  | { readonly do: "unblank" }
  | { readonly do: "put-on"; readonly part: string; readonly fresh: boolean }
  | {
      readonly do: "tighten";
      readonly part: string;
      readonly least_Nm?: number;
      readonly most_Nm?: number;
      readonly tools: readonly string[];
    }
  | { readonly do: "work-on"; readonly task: string }
  | { readonly do: "count-the-tray" }
  /** Made ready in the sheet's own words. */
  | { readonly do: "make-ready"; readonly card: string }
  /** Everything by the site's drawing: what no line tells. */
  | { readonly do: "shut-by-hand" }
  | { readonly do: "open-by-hand" };

export type ActOf<K extends Act["do"]> = Extract<Act, { do: K }>;
