import type { ComponentType } from "react";
import { judgeNewPart } from "@/core/build";
import type { Disposition } from "@/core/formats";
import { nextBolt, piecesLeft, type Step, type StepKind, type StepOf } from "@/core/job";
import type { Language } from "@/words";
import { SecondSignatureBody, SignOffBody, TagBody, TrayBody } from "./bodies-finish";
import { CheckBody, KitBody, MarkBody, ToolsBody } from "./bodies-inspect";
import { GateBody, GaugeBody, WriteDownBody } from "./bodies-isolate";
import { OthersBody } from "./bodies-others";
import { FitBody, TightenBody, TightenOneBody } from "./bodies-rebuild";
import { ShutBody } from "./bodies-shut";
import { AskTwiceBody, ConfirmBody, CrackBody, StripBody, TaskBody } from "./bodies-strip";
import { WaitBody } from "./bodies-wait";
import { showsAtOnce, startsFirst } from "./look-wait";
import { type BodyProps, StepForm } from "./step-form";
import { TickLines } from "./tick-lines";
import type { JobLog } from "./use-job-log";

/** What the wide button is asked with. */
interface Pressed {
  readonly log: JobLog;
  /** What the chosen answer of a check means. */
  readonly means: Disposition | undefined;
  /** The wait still runs. */
  readonly waiting: boolean;
  readonly says: Buttons;
}

type Buttons = Language["card"]["buttons"];

/** How a kind of step looks: what stands on its card, and what its wide button says. */
interface StepView<K extends StepKind> {
  readonly Body: ComponentType<BodyProps<K> & { onChosen: (means: Disposition | undefined) => void }>;
  readonly button: (step: StepOf<K>, pressed: Pressed) => string;
}

const Plain = ({ step, log }: BodyProps<StepKind>) => (
  <StepForm onDone={() => log.add({ kind: "step-done", step: step.id })} />
);
const ListBody = ({ step, log }: BodyProps<"ready" | "other-way">) => (
  <StepForm onDone={() => log.add({ kind: "step-done", step: step.id })}>
    <TickLines step={step} log={log} asDone />
  </StepForm>
);
const OpenBody = ({ step, log }: BodyProps<"open">) => (
  <StepForm onDone={() => log.add({ kind: "step-done", step: step.id })}>{step.where ?? null}</StepForm>
);
const Nothing = () => null;

/** A button that says one thing whatever its step asks. */
const only =
  (which: { [K in keyof Buttons]: Buttons[K] extends string ? K : never }[keyof Buttons]) =>
  (_: unknown, { says }: Pressed): string =>
    says[which];

const done = only("done");
const PLAIN = { Body: Plain, button: done };
const WRITTEN = { Body: WriteDownBody, button: done };
const LOCKED = { Body: ShutBody, button: only("locked") };
const SHUT = {
  Body: ShutBody,
  button: ({ by }: StepOf<"shut">, { says }: Pressed) =>
    (by.kind === "closure" && by.standsShut) || (by.kind === "turning" && by.stands === true)
      ? says.lockedAsItStands
      : says.locked,
};
const ASKED = { Body: AskTwiceBody, button: only("yes") };
const WAITED = {
  Body: WaitBody,
  button: (step: StepOf<"hold" | "soak" | "discharge" | "cure">, { log, waiting, says }: Pressed) =>
    log.job.states.get(step.id)?.kind === "running"
      ? waiting
        ? says.waitRuns
        : says.waitOver
      : says.startWait(step.minutes),
};

/** What shows at once is recorded at once; that all is well only when the wait is over. */
function checkSays(step: StepOf<"check">, { log, means, waiting, says }: Pressed): string {
  if (startsFirst(step, log.job.progress, means)) return says.startWait(step.wait_min ?? 0);
  if (waiting && !showsAtOnce(means)) return says.waitRuns;
  if (step.check.kind === "measure") return says.figure;
  if (step.check.kind === "pieces") return says.eachPiece;
  return means === undefined ? says.chooseFirst : says.check[means];
}

/** While a stack is counted the button counts. */
function pieceSays(
  step: StepOf<"strip"> | StepOf<"fit">,
  { log, says }: Pressed,
  way: "out" | "in",
): string | undefined {
  const left = piecesLeft(step, log.job.progress);
  return left > 0 ? says.piece[way](step.pieces.length - left + 1) : undefined;
}

function fitSays(step: StepOf<"fit">, pressed: Pressed): string {
  const { log, says } = pressed;
  const part = log.job.inputs.sheet.parts.find((each) => each.id === step.part);
  const seen = part && judgeNewPart(part, log.job.progress.compared.get(part.id) ?? []);
  if (step.features.length > 0 && seen?.kind !== "right") return says.compare;
  return (
    pieceSays(step, pressed, "in") ??
    (step.loose ? says.inLoose : step.renewal !== undefined ? says.newIsIn : says.isIn)
  );
}

/** Every kind of step with its look: a kind without one does not compile. */
const VIEWS: { readonly [K in StepKind]: StepView<K> } = {
  check: { Body: CheckBody, button: checkSays },
  protect: PLAIN,
  kit: { Body: KitBody, button: done },
  tools: { Body: ToolsBody, button: done },
  permits: WRITTEN,
  notify: WRITTEN,
  live: ASKED,
  "shut-by-hand": WRITTEN,
  blocked: { Body: Nothing, button: done },
  shut: SHUT,
  bypass: PLAIN,
  "stop-pump": LOCKED,
  "liquid-out": WRITTEN,
  "pump-out": WRITTEN,
  "open-bleed": PLAIN,
  drain: PLAIN,
  "drain-at-valve": PLAIN,
  discharge: WAITED,
  stored: WRITTEN,
  dead: WRITTEN,
  release: PLAIN,
  gauge: { Body: GaugeBody, button: only("reading") },
  hold: WAITED,
  mark: { Body: MarkBody, button: done },
  "other-build": { Body: Plain, button: only("standsSo") },
  position: PLAIN,
  "ask-twice": ASKED,
  crack: { Body: CrackBody, button: ({ stay }, { says }) => says.cracked(stay) },
  strip: {
    Body: StripBody,
    button: (step, pressed) =>
      pieceSays(step, pressed, "out") ??
      (step.slackened === true ? pressed.says.slackened : pressed.says.off),
  },
  blank: { Body: Plain, button: ({ how }, { says }) => says.blank[how] },
  task: { Body: TaskBody, button: done },
  soak: WAITED,
  "other-way": { Body: ListBody, button: done },
  fit: { Body: FitBody, button: fitSays },
  confirm: { Body: ConfirmBody, button: only("asBefore") },
  tighten: {
    Body: TightenBody,
    button: (step, { log, says }) => says.bolt(nextBolt(step, log.job.progress)?.bolt ?? step.bolts),
  },
  "tighten-one": { Body: TightenOneBody, button: only("tight") },
  tray: { Body: TrayBody, button: only("balances") },
  cure: WAITED,
  ready: { Body: ListBody, button: done },
  "shut-point": PLAIN,
  "start-pump": PLAIN,
  evacuate: WRITTEN,
  charge: PLAIN,
  gate: { Body: GateBody, button: only("reading") },
  away: { Body: Plain, button: only("empty") },
  untested: { Body: Plain, button: only("onTheValve") },
  others: { Body: OthersBody, button: only("waitsForOthers") },
  "put-back": { Body: Plain, button: only("standsAsBefore") },
  open: { Body: OpenBody, button: ({ how }, { says }) => says[how === "leave-shut" ? "lockIsOff" : "open"] },
  "open-by-hand": WRITTEN,
  tell: WRITTEN,
  tag: { Body: TagBody, button: done },
  "second-signature": { Body: SecondSignatureBody, button: only("signOff") },
  "sign-off": { Body: SignOffBody, button: only("signOff") },
};

/** The table by a kind that is known only at run time: each view is given a step of its own kind. */
const viewOf = (kind: StepKind) => VIEWS[kind] as unknown as StepView<StepKind>;

export const buttonSays = (step: Step, pressed: Pressed): string => viewOf(step.kind).button(step, pressed);

export function StepBody({
  step,
  log,
  onChosen,
}: {
  step: Step;
  log: JobLog;
  onChosen: (means: Disposition | undefined) => void;
}) {
  const { Body } = viewOf(step.kind);
  return <Body key={step.id} step={step} log={log} onChosen={onChosen} />;
}
