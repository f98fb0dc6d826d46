import type { Act } from "../world";
import type { EntryRefusal } from "./refusal";
import type { Step, StepFacts, StepKind } from "./step";
import type { AtEntry, Standing, StepEntry, StepRule, StepState } from "./step-rule";
import { askTwice } from "./steps/ask-twice";
import { away } from "./steps/away";
import { blank } from "./steps/blank";
import { blocked } from "./steps/blocked";
import { bypass } from "./steps/bypass";
import { charge } from "./steps/charge";
import { check } from "./steps/check";
import { confirm } from "./steps/confirm";
import { crack } from "./steps/crack";
import { cure } from "./steps/cure";
import { dead } from "./steps/dead";
import { discharge } from "./steps/discharge";
import { drain } from "./steps/drain";
import { drainAtValve } from "./steps/drain-at-valve";
import { evacuate } from "./steps/evacuate";
import { fit } from "./steps/fit";
import { gate } from "./steps/gate";
import { gauge } from "./steps/gauge";
import { hold } from "./steps/hold";
import { kit } from "./steps/kit";
import { liquidOut } from "./steps/liquid-out";
import { live } from "./steps/live";
import { mark } from "./steps/mark";
import { notify } from "./steps/notify";
import { open } from "./steps/open";
import { openBleed } from "./steps/open-bleed";
import { openByHand } from "./steps/open-by-hand";
import { otherBuild } from "./steps/other-build";
import { otherWay } from "./steps/other-way";
import { others } from "./steps/others";
import { permits } from "./steps/permits";
import { position } from "./steps/position";
import { protect } from "./steps/protect";
import { pumpOut } from "./steps/pump-out";
import { putBack } from "./steps/put-back";
import { ready } from "./steps/ready";
import { release } from "./steps/release";
import { secondSignature } from "./steps/second-signature";
import { shut } from "./steps/shut";
import { shutByHand } from "./steps/shut-by-hand";
import { shutPoint } from "./steps/shut-point";
import { signOff } from "./steps/sign-off";
import { soak } from "./steps/soak";
import { startPump } from "./steps/start-pump";
import { stopPump } from "./steps/stop-pump";
import { stored } from "./steps/stored";
import { strip } from "./steps/strip";
import { tag } from "./steps/tag";
import { task } from "./steps/task";
import { tell } from "./steps/tell";
import { tighten } from "./steps/tighten";
import { tightenOne } from "./steps/tighten-one";
import { tools } from "./steps/tools";
import { tray } from "./steps/tray";
import { untested } from "./steps/untested";

/** Every kind of step with its rule: a kind without one does not compile. */
const RULES: { readonly [K in StepKind]: StepRule<Extract<StepFacts, { kind: K }>> } = {
  check,
  protect,
  kit,
  tools,
  permits,
  notify,
  live,
  "shut-by-hand": shutByHand,
  blocked,
  shut,
  "stop-pump": stopPump,
  "liquid-out": liquidOut,
  "pump-out": pumpOut,
  "open-bleed": openBleed,
  drain,
  "drain-at-valve": drainAtValve,
  discharge,
  stored,
  dead,
  release,
  gauge,
  hold,
  mark,
  "other-build": otherBuild,
  position,
  "ask-twice": askTwice,
  crack,
  strip,
  blank,
  task,
  soak,
  "other-way": otherWay,
  fit,
  confirm,
  tighten,
  "tighten-one": tightenOne,
  tray,
  cure,
  ready,
  bypass,
  "shut-point": shutPoint,
  "start-pump": startPump,
  evacuate,
  charge,
  gate,
  "put-back": putBack,
  others,
  away,
  untested,
  open,
  "open-by-hand": openByHand,
  tell,
  tag,
  "second-signature": secondSignature,
  "sign-off": signOff,
};

/** The table by a kind that is known only at run time: each rule is asked with the facts of its own kind. */
/** Whether a text is the name of a kind of step. */
export const isStepKind = (kind: unknown): kind is StepKind =>
  typeof kind === "string" && Object.hasOwn(RULES, kind);

const ruleOf = (kind: StepKind) => RULES[kind] as StepRule<StepFacts>;

/** Where a step stands: what was skipped is behind us. */
export function stateOf(step: Step, standing: Standing): StepState {
  const { progress } = standing;
  if (progress.overridden.has(step.id)) return { kind: "done" };
  const stands = ruleOf(step.kind).stands;
  if (stands !== undefined) return stands(step, standing);
  return { kind: progress.done.has(step.id) ? "done" : "open" };
}

/** What the card asks to be done, one thing at a time. */
export const actsOf = (step: Step): readonly Act[] => ruleOf(step.kind).acts?.(step) ?? [];

/** Whether an entry may be made at this step. */
export function refuseEntry(step: Step, entry: StepEntry, at: AtEntry): EntryRefusal | undefined {
  const takes = ruleOf(step.kind).takes[entry.kind] as
    | ((step: Step, entry: StepEntry, at: AtEntry) => EntryRefusal | undefined)
    | undefined;
  return takes === undefined
    ? { path: "/kind", kind: "not-at-this-step", entry: entry.kind }
    : takes(step, entry, at);
}
