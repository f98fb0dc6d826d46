import type { NewPart, TrayItem } from "../build";
import type { Competence, JobEvent } from "../formats";
import type { Problem } from "../result";

/** Where the entry is wrong (JSON pointer). */
interface At {
  readonly path: string;
}

/** Why an entry is not taken at the step it was made at. SI figures. */
export type EntryRefusal = At &
  (
    | { readonly kind: "write-it-down"; readonly of: string }
    | { readonly kind: "write-the-lock" }
    | { readonly kind: "say-yes-twice" }
    | { readonly kind: "say-what-came-out" }
    | { readonly kind: "wait-runs" }
    | { readonly kind: "wait-not-started" }
    | { readonly kind: "wait-too-short"; readonly minutes: number }
    | { readonly kind: "wait-not-over"; readonly minutes: number }
    | { readonly kind: "not-a-gauge-pressure" }
    | { readonly kind: "below-vacuum"; readonly least_Pa: number }
    | { readonly kind: "above-any-gauge"; readonly most_Pa: number }
    | { readonly kind: "below-the-gate"; readonly least_Pa: number }
    | { readonly kind: "no-such-temperature"; readonly least_K: number; readonly most_K: number }
    | { readonly kind: "another-check"; readonly gave: "answer" | "figure" }
    | { readonly kind: "wants-a-figure" }
    | { readonly kind: "wants-a-choice" }
    | { readonly kind: "wants-each-piece" }
    | { readonly kind: "no-such-piece"; readonly of: number }
    | { readonly kind: "answer-one-of"; readonly answers: readonly string[] }
    | { readonly kind: "choose-one-of"; readonly choices: readonly string[] }
    | { readonly kind: "below-zero" }
    | { readonly kind: "noted-otherwise"; readonly noted: string }
    | { readonly kind: "has-to-be"; readonly right: string }
    | { readonly kind: "photograph-first" }
    /** In the unit of the sheet. */
    | { readonly kind: "write-a-figure"; readonly unit: string }
    | {
        readonly kind: "no-such-figure";
        readonly low?: number;
        readonly high?: number;
        readonly unit: string;
      }
    | {
        readonly kind: "stands-otherwise";
        readonly noted: string;
        readonly tolerance: number;
        readonly unit: string;
      }
    | { readonly kind: "place-is-taken"; readonly place: string; readonly by: string }
    | { readonly kind: "bolt-out-of-order"; readonly next?: { readonly pass: number; readonly bolt: number } }
    | { readonly kind: "over-its-limit"; readonly read_Nm: number; readonly limit_Nm: number }
    | { readonly kind: "pulled-short"; readonly read_Nm: number; readonly wanted_Nm: number }
    | { readonly kind: "pulled-beyond"; readonly read_Nm: number; readonly wanted_Nm: number }
    | { readonly kind: "pull-every-bolt" }
    | { readonly kind: "simulated-proves-nothing" }
    | { readonly kind: "read-too-long-ago"; readonly minutes: number }
    | { readonly kind: "read-after-its-entry" }
    | { readonly kind: "it-showed-otherwise"; readonly read: string }
    | { readonly kind: "nothing-to-trace" }
    | { readonly kind: "points-out-of-order" }
    | { readonly kind: "count-on-from"; readonly piece: number }
    | { readonly kind: "count-the-stack"; readonly left: number; readonly of: number }
    | { readonly kind: "more-than-there-are"; readonly of: number }
    | { readonly kind: "time-it" }
    | { readonly kind: "count-them"; readonly what: string; readonly most: number }
    | { readonly kind: "pieces-missing"; readonly of: number; readonly there: number }
    | { readonly kind: "not-compared-here" }
    | { readonly kind: "compare-by"; readonly features: readonly string[] }
    | { readonly kind: "not-the-right-part"; readonly verdict: Exclude<NewPart, { kind: "right" }> }
    | { readonly kind: "still-on-the-tray"; readonly items: readonly TrayItem[] }
    | { readonly kind: "short-of-pieces"; readonly items: readonly TrayItem[] }
    | { readonly kind: "no-such-line" }
    | { readonly kind: "wipe-it-first" }
    | { readonly kind: "tick-every-line"; readonly left: readonly string[] }
    | { readonly kind: "say-how-many-are-left" }
    | { readonly kind: "other-leftovers"; readonly expected: number; readonly said: number }
    /** Entries of this kind do not belong to this kind of step. */
    | { readonly kind: "not-at-this-step"; readonly entry: JobEvent["kind"] }
    | { readonly kind: "never-skipped" }
  );

/** Why an entry is not taken by the job as a whole. */
export type LogRefusal = At &
  (
    | { readonly kind: "server-clock-wrong" }
    | { readonly kind: "clock-ahead" }
    | { readonly kind: "before-the-job" }
    | { readonly kind: "before-the-newest" }
    | { readonly kind: "id-is-taken" }
    /** It says of itself that another device entered it, and by the rules it is settled another way. */
    | { readonly kind: "settled-otherwise" }
    | { readonly kind: "signed-off-already" }
    | { readonly kind: "closed-as-not-begun" }
    | { readonly kind: "work-is-stopped" }
    | { readonly kind: "work-is-not-stopped" }
    | { readonly kind: "nothing-to-undo" }
    | { readonly kind: "no-such-bell" }
    | { readonly kind: "undo-the-newest-first" }
    | { readonly kind: "not-shut-here"; readonly link: string }
    | { readonly kind: "known-to-pass"; readonly link: string }
    | { readonly kind: "being-restored" }
    | { readonly kind: "no-such-part"; readonly part: string }
    | { readonly kind: "goes-in-once"; readonly part: string; readonly why: string }
    | { readonly kind: "work-has-begun" }
    | { readonly kind: "bench-book-not-at-hand" }
    | { readonly kind: "bench-book-refuses"; readonly problem: Problem }
    | { readonly kind: "gives-otherwise"; readonly said: string }
    | { readonly kind: "no-such-step"; readonly step: string }
    | { readonly kind: "nobody-signs-on" }
    | { readonly kind: "crew-not-at-hand" }
    | { readonly kind: "under-own-eye" }
    /** Whoever is to watch has to be there. */
    | { readonly kind: "not-signed-on"; readonly who: string }
    | { readonly kind: "sign-on-first"; readonly who: string; readonly asked: readonly Competence[] }
    | { readonly kind: "not-competent"; readonly who: string; readonly missing: readonly Competence[] }
    | { readonly kind: "another-proves"; readonly who: string }
    | { readonly kind: "another-signs"; readonly who: string }
  );
