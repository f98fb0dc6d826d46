import type { TrayAccount } from "../build";
import type { Finding } from "../findings";
import type { JobEvent, JobInputs } from "../formats";
import type { Act } from "../world";
import type { Progress } from "./progress";
import type { EntryRefusal } from "./refusal";
import type { StepHead } from "./step-head";

/** An entry that belongs to the step in hand. */
export type StepEntry = Extract<
  JobEvent,
  {
    step: string;
    kind: Exclude<
      JobEvent["kind"],
      "note-added" | "bell-put-off" | "result-kept" | "trace-kept" | "step-overridden"
    >;
  }
>;

/** What a step is judged by. */
export interface Standing {
  readonly inputs: JobInputs;
  readonly progress: Progress;
  readonly findings: readonly Finding[];
}

/** What an entry is judged by: where the job stands, the tray, the time. */
export interface AtEntry extends Standing {
  readonly tray: TrayAccount;
  /** ms since the epoch. */
  readonly at: number;
}

/** Whether a step is behind us; a halted one has an answer that forbids going on. */
export type StepState =
  | { readonly kind: "done" }
  | { readonly kind: "open" }
  | { readonly kind: "halted" }
  /** Others have to do something first: nothing that is said here ends it. */
  | { readonly kind: "waits-for-others" }
  | { readonly kind: "not-zero"; readonly typed: string }
  | { readonly kind: "running"; readonly until: number };

/** What may be entered at a step, each with the reason why not; what is not named here is not taken. */
export type Takes<Facts> = {
  readonly [E in StepEntry["kind"]]?: (
    step: StepHead & Facts,
    entry: Extract<StepEntry, { kind: E }>,
    at: AtEntry,
  ) => EntryRefusal | undefined;
};

/** All that the log has to know of one kind of step. */
export interface StepRule<Facts> {
  readonly takes: Takes<Facts>;
  /** What the card asks to be done, in its order: a card without any only asks or tells. */
  readonly acts?: (step: StepHead & Facts) => readonly Act[];
  /** Where it stands; a tick makes it done unless this says otherwise. */
  readonly stands?: (step: StepHead & Facts, standing: Standing) => StepState;
}

/** Done by a tick, with nothing to enter. */
export const ticked = { takes: { "step-done": () => undefined } } satisfies StepRule<unknown>;

export const entryOf = ({ entry = "" }: { readonly entry?: string }): string => entry.trim();

/** Done by writing something down. */
export const written = {
  takes: {
    "step-done": (step, event) =>
      entryOf(event) === "" ? { path: "/entry", kind: "write-it-down", of: step.kind } : undefined,
  },
} satisfies StepRule<{ readonly kind: string }>;

/** The entry of a question that was asked twice and twice said yes to. */
export const ASKED_TWICE = "yes, twice";

/** Done by saying yes to two questions. */
export const askedTwice = {
  takes: {
    "step-done": (_, event) =>
      entryOf(event) === ASKED_TWICE ? undefined : { path: "/entry", kind: "say-yes-twice" },
  },
} satisfies StepRule<unknown>;

/** Done by putting a lock or a tag on. */
export const lockedOn = {
  takes: {
    "step-done": (step, event) =>
      step.lockable && entryOf(event) === "" ? { path: "/entry", kind: "write-the-lock" } : undefined,
  },
} satisfies StepRule<{ readonly lockable: boolean }>;

/** A wait is started once, and is not made shorter. */
export function startsWait(
  { id, minutes }: Pick<StepHead, "id" | "minutes">,
  event: Extract<StepEntry, { kind: "wait-started" }>,
  { progress }: AtEntry,
): EntryRefusal | undefined {
  if (progress.waits.has(id)) return { path: "/step", kind: "wait-runs" };
  return event.minutes >= minutes ? undefined : { path: "/minutes", kind: "wait-too-short", minutes };
}

/** Done when a wait that was started is over. */
export const waited = {
  takes: {
    "wait-started": startsWait,
    "step-done": (step, _, { progress, at }) => {
      const wait = progress.waits.get(step.id);
      if (wait === undefined) return { path: "/step", kind: "wait-not-started" };
      return at >= wait.until
        ? undefined
        : { path: "/at", kind: "wait-not-over", minutes: Math.ceil((wait.until - at) / 60_000) };
    },
  },
  stands: (step, { progress }) => {
    if (progress.done.has(step.id)) return { kind: "done" };
    const wait = progress.waits.get(step.id);
    return wait === undefined ? { kind: "open" } : { kind: "running", until: wait.until };
  },
} satisfies StepRule<unknown>;

/** A question before a step: once that is done, there is nothing left to ask. */
export const unlessDone =
  <Facts>(next: (step: StepHead & Facts) => string) =>
  (step: StepHead & Facts, { progress }: Standing): StepState =>
    progress.done.has(step.id) || progress.done.has(next(step)) ? { kind: "done" } : { kind: "open" };
