import { type Base, type Cut, judgeNewPart } from "../../build";
import type { EndCondition, Feature, Part } from "../../formats";
import type { EntryRefusal } from "../refusal";
import type { StepHead } from "../step-head";
import { type AtEntry, entryOf, type StepRule } from "../step-rule";
import type { NamedRenewal } from "./kit";
import type { Noted } from "./mark";
import { type Counted, countIn, refuseCount, refusePiece } from "./pieces";

/** What goes on a surface or thread, or must not; which way round. */
export type FitRule =
  | { readonly kind: "orientation"; readonly says: string }
  | { readonly kind: "as-noted"; readonly about: Noted; readonly noted: string }
  | {
      readonly kind: "lubricate";
      readonly with: string;
      readonly on: string;
      /** What must never lie there, whatever is in the van. */
      readonly never?: readonly Base[];
    }
  | { readonly kind: "keep-off"; readonly what: string }
  /** A flange gasket that is cut otherwise than its sheet draws it: bolts, their circle and the outside, mm. */
  | {
      readonly kind: "cut";
      readonly as: Cut;
      readonly bolts: number;
      readonly circle_mm: number;
      readonly outside_mm: number;
      readonly why: string;
    }
  | { readonly kind: "stays-dry"; readonly why: string }
  | { readonly kind: "thread-dry"; readonly why: string }
  | {
      readonly kind: "locker" | "anti-seize" | "sealant";
      readonly with: string;
      readonly why: string;
    };

/** A part goes in: the old one or a new one, with what goes on it and how far it is tightened. */
export interface FitFacts extends Counted {
  readonly kind: "fit";
  readonly do: string;
  readonly why?: string;
  readonly renewal?: NamedRenewal;
  /** Of a stack: the pieces that go in new, by their number from the bottom up. */
  readonly fresh?: readonly number[];
  readonly end: EndCondition;
  /** By hand for now: it is tightened when its fellows are in. */
  readonly loose: boolean;
  readonly rules: readonly FitRule[];
  readonly torque_Nm?: number;
  /** Never beyond this, N·m, with what is on the thread. */
  readonly limit_Nm?: number;
  /** What the new part is compared by before it goes in. */
  readonly features: readonly Feature[];
  /** Nothing that slips may be on it: that it was wiped is ticked. */
  readonly wipe?: true;
  readonly standIn?: NonNullable<Part["standIn"]>;
}

/** The line that is ticked once it is wiped. */
export const WIPED = "wiped";

export const fit: StepRule<FitFacts> = {
  acts: ({ part = "", renewal, loose, torque_Nm, tools }) => [
    { do: "put-on", part, fresh: renewal !== undefined },
    ...(loose
      ? []
      : [
          {
            do: "tighten" as const,
            part,
            tools: tools.map(({ id }) => id),
            ...(torque_Nm !== undefined && { most_Nm: torque_Nm }),
          },
        ]),
  ],
  takes: {
    "piece-set": (step, { piece }, at) => refusePiece(step, piece, at),
    "part-compared": (step, { part, found }) => {
      if (step.part !== part) return { path: "/kind", kind: "not-compared-here" };
      const features = step.features.map((feature) => feature.name);
      const stray = found.findIndex((each) => !features.includes(each.name));
      return stray === -1 ? undefined : { path: `/found/${stray}/name`, kind: "compare-by", features };
    },
    "line-ticked": ({ wipe }, { line }) =>
      wipe === true && line === WIPED ? undefined : { path: "/line", kind: "no-such-line" },
    "step-done": (step, event, at) =>
      refuseUnwiped(step, at) ??
      refuseCount(step, entryOf(event), at.progress) ??
      refusePart(step, countIn(entryOf(event)), at),
  },
};

/** What has to stay dry was wiped before it goes in. */
const refuseUnwiped = ({ id, wipe }: StepHead & FitFacts, { progress }: AtEntry): EntryRefusal | undefined =>
  wipe === true && progress.ticked.get(id)?.has(WIPED) !== true
    ? { path: "/step", kind: "wipe-it-first" }
    : undefined;

/** A new part by its marks, and as many pieces as belong there. */
function refusePart(
  step: StepHead & FitFacts,
  counted: number | undefined,
  { inputs, progress, tray }: AtEntry,
): EntryRefusal | undefined {
  const part = inputs.sheet.parts.find((each) => each.id === step.part);
  if (part === undefined) return undefined;
  if (step.features.length > 0) {
    const verdict = judgeNewPart(part, progress.compared.get(part.id) ?? []);
    if (verdict.kind !== "right") return { path: "/entry", kind: "not-the-right-part", verdict };
  }
  const item = tray.items.find((each) => each.part === part.id);
  const out = item !== undefined && !item.renew ? item.counted : step.count;
  const there = counted ?? out;
  return there < step.count ? { path: "/entry", kind: "pieces-missing", of: step.count, there } : undefined;
}
