import type { ComponentType } from "react";
import { judgeNewPart } from "@/core/build";
import { nextBolt, piecesLeft, type Step, type StepKind, type StepOf } from "@/core/job";
import { SignOffBody, TrayBody } from "./bodies-finish";
import { CheckBody, KitBody, MarkBody, ToolsBody } from "./bodies-inspect";
import { GateBody, GaugeBody, ShutBody, WriteDownBody } from "./bodies-isolate";
import { OthersBody } from "./bodies-others";
import { FitBody, TightenBody, TightenOneBody } from "./bodies-rebuild";
import { AskTwiceBody, ConfirmBody, CrackBody, StripBody } from "./bodies-strip";
import { WaitBody } from "./bodies-wait";
import { showsAtOnce, startsFirst } from "./look-wait";
import { type BodyProps, StepForm } from "./step-form";
import type { JobLog } from "./use-job-log";

/** What the wide button is asked with. */
interface Pressed {
  readonly log: JobLog;
  /** What the chosen answer of a check means. */
  readonly means: string | undefined;
  /** The wait still runs. */
  readonly waiting: boolean;
}

/** How a kind of step looks: what stands on its card, and what its wide button says. */
interface StepView<K extends StepKind> {
  readonly Body: ComponentType<BodyProps<K> & { onChosen: (means: string | undefined) => void }>;
  readonly button: (step: StepOf<K>, pressed: Pressed) => string;
}

const Plain = ({ step, log }: BodyProps<StepKind>) => (
  <StepForm onDone={() => log.add({ kind: "step-done", step: step.id })} />
);
const OpenBody = ({ step, log }: BodyProps<"open">) => (
  <StepForm onDone={() => log.add({ kind: "step-done", step: step.id })}>{step.where ?? null}</StepForm>
);
const Nothing = () => null;

const done = () => "Done";
const PLAIN = { Body: Plain, button: done };
const WRITTEN = { Body: WriteDownBody, button: done };
const LOCKED = { Body: ShutBody, button: () => "Shut and locked" };
const SHUT = {
  Body: ShutBody,
  button: ({ by }: StepOf<"shut">) =>
    (by.kind === "closure" && by.standsShut) || (by.kind === "turning" && by.stands === true)
      ? "Stands so, locked"
      : "Shut and locked",
};
const ASKED = { Body: AskTwiceBody, button: () => "Yes, go on" };
const WAITED = {
  Body: WaitBody,
  button: (step: StepOf<"hold" | "soak" | "discharge" | "cure">, { log, waiting }: Pressed) =>
    log.job.states.get(step.id)?.kind === "running"
      ? waiting
        ? "The wait runs"
        : "Wait is over"
      : `Start the wait: ${step.minutes} min`,
};

const CHECK_BUTTON: Record<string, string> = {
  reuse: "Sound: go on",
  clean: "Cleaned: go on",
  renew: "Renew it",
  stop: "Record it",
};

/** What shows at once is recorded at once; that all is well only when the wait is over. */
function checkSays(step: StepOf<"check">, { log, means, waiting }: Pressed): string {
  if (startsFirst(step, log.job.progress, means)) return `Start the wait: ${step.wait_min} min`;
  if (waiting && !showsAtOnce(means)) return "The wait runs";
  return step.check.kind === "measure"
    ? "Take the figure"
    : (CHECK_BUTTON[means ?? ""] ?? "Choose what you found");
}

/** While a stack is counted the button counts. */
function pieceSays(
  step: StepOf<"strip"> | StepOf<"fit">,
  log: JobLog,
  way: "out" | "in",
): string | undefined {
  const left = piecesLeft(step, log.job.progress);
  return left > 0 ? `Piece ${step.pieces.length - left + 1} is ${way}` : undefined;
}

function fitSays(step: StepOf<"fit">, { log }: Pressed): string {
  const part = log.job.inputs.sheet.parts.find((each) => each.id === step.part);
  const seen = part && judgeNewPart(part, log.job.progress.compared.get(part.id) ?? []);
  if (step.features.length > 0 && seen?.kind !== "right") return "Compare it";
  return (
    pieceSays(step, log, "in") ??
    (step.loose ? "In, left loose" : step.renewal !== undefined ? "New one is in" : "It is in")
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
  gauge: { Body: GaugeBody, button: () => "Take the reading" },
  hold: WAITED,
  mark: { Body: MarkBody, button: done },
  position: PLAIN,
  "ask-twice": ASKED,
  crack: { Body: CrackBody, button: () => "Cracked, two hold it" },
  strip: { Body: StripBody, button: (step, { log }) => pieceSays(step, log, "out") ?? "Off, on the tray" },
  task: PLAIN,
  soak: WAITED,
  fit: { Body: FitBody, button: fitSays },
  confirm: { Body: ConfirmBody, button: () => "It is so again" },
  tighten: {
    Body: TightenBody,
    button: (step, { log }) => `Bolt ${nextBolt(step, log.job.progress)?.bolt ?? ""} done`,
  },
  "tighten-one": { Body: TightenOneBody, button: () => "It is tight" },
  tray: { Body: TrayBody, button: () => "The tray balances" },
  cure: WAITED,
  ready: PLAIN,
  "shut-point": PLAIN,
  "start-pump": PLAIN,
  evacuate: WRITTEN,
  charge: PLAIN,
  gate: { Body: GateBody, button: () => "Take the reading" },
  away: { Body: Plain, button: () => "Yes, empty" },
  untested: { Body: Plain, button: () => "It stands on the valve" },
  others: { Body: OthersBody, button: () => "Goes on when they have opened" },
  "put-back": { Body: Plain, button: () => "It stands as before" },
  open: { Body: OpenBody, button: ({ how }) => (how === "leave-shut" ? "Lock is off" : "Open, lock off") },
  "open-by-hand": WRITTEN,
  tell: WRITTEN,
  tag: PLAIN,
  "sign-off": { Body: SignOffBody, button: () => "Sign off" },
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
  onChosen: (means: string | undefined) => void;
}) {
  const { Body } = viewOf(step.kind);
  return <Body key={step.id} step={step} log={log} onChosen={onChosen} />;
}
