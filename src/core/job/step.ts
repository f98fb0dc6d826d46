import type { StepHead } from "./step-head";
import type { AskTwiceFacts } from "./steps/ask-twice";
import type { AwayFacts } from "./steps/away";
import type { BlankFacts } from "./steps/blank";
import type { BlockedFacts } from "./steps/blocked";
import type { BypassFacts } from "./steps/bypass";
import type { ChargeFacts } from "./steps/charge";
import type { CheckFacts } from "./steps/check";
import type { ConfirmFacts } from "./steps/confirm";
import type { CrackFacts } from "./steps/crack";
import type { CureFacts } from "./steps/cure";
import type { DeadFacts } from "./steps/dead";
import type { DischargeFacts } from "./steps/discharge";
import type { DrainFacts } from "./steps/drain";
import type { DrainAtValveFacts } from "./steps/drain-at-valve";
import type { EvacuateFacts } from "./steps/evacuate";
import type { FitFacts } from "./steps/fit";
import type { GateFacts } from "./steps/gate";
import type { GaugeFacts } from "./steps/gauge";
import type { HoldFacts } from "./steps/hold";
import type { KitFacts } from "./steps/kit";
import type { LiquidOutFacts } from "./steps/liquid-out";
import type { LiveFacts } from "./steps/live";
import type { MarkFacts } from "./steps/mark";
import type { NotifyFacts } from "./steps/notify";
import type { OpenFacts } from "./steps/open";
import type { OpenBleedFacts } from "./steps/open-bleed";
import type { OpenByHandFacts } from "./steps/open-by-hand";
import type { OtherBuildFacts } from "./steps/other-build";
import type { OtherWayFacts } from "./steps/other-way";
import type { OthersFacts } from "./steps/others";
import type { PermitsFacts } from "./steps/permits";
import type { PositionFacts } from "./steps/position";
import type { ProtectFacts } from "./steps/protect";
import type { PumpOutFacts } from "./steps/pump-out";
import type { PutBackFacts } from "./steps/put-back";
import type { ReadyFacts } from "./steps/ready";
import type { ReleaseFacts } from "./steps/release";
import type { SecondSignatureFacts } from "./steps/second-signature";
import type { ShutFacts } from "./steps/shut";
import type { ShutByHandFacts } from "./steps/shut-by-hand";
import type { ShutPointFacts } from "./steps/shut-point";
import type { SignOffFacts } from "./steps/sign-off";
import type { SoakFacts } from "./steps/soak";
import type { StartPumpFacts } from "./steps/start-pump";
import type { StopPumpFacts } from "./steps/stop-pump";
import type { StoredFacts } from "./steps/stored";
import type { StripFacts } from "./steps/strip";
import type { TagFacts } from "./steps/tag";
import type { TaskFacts } from "./steps/task";
import type { TellFacts } from "./steps/tell";
import type { TightenFacts } from "./steps/tighten";
import type { TightenOneFacts } from "./steps/tighten-one";
import type { ToolsFacts } from "./steps/tools";
import type { TrayFacts } from "./steps/tray";
import type { UntestedFacts } from "./steps/untested";

/** Everything a job can ask for, in the order in which a job meets it. */
export type StepFacts =
  | CheckFacts
  | ProtectFacts
  | KitFacts
  | ToolsFacts
  | PermitsFacts
  | NotifyFacts
  | LiveFacts
  | ShutByHandFacts
  | BlockedFacts
  | BypassFacts
  | ShutFacts
  | StopPumpFacts
  | PumpOutFacts
  | OpenBleedFacts
  | DrainFacts
  | LiquidOutFacts
  | DrainAtValveFacts
  | DischargeFacts
  | StoredFacts
  | DeadFacts
  | ReleaseFacts
  | GaugeFacts
  | HoldFacts
  | MarkFacts
  | OtherBuildFacts
  | PositionFacts
  | AskTwiceFacts
  | CrackFacts
  | StripFacts
  | BlankFacts
  | TaskFacts
  | SoakFacts
  | OtherWayFacts
  | FitFacts
  | ConfirmFacts
  | TightenFacts
  | TightenOneFacts
  | TrayFacts
  | CureFacts
  | ReadyFacts
  | ShutPointFacts
  | StartPumpFacts
  | OpenFacts
  | EvacuateFacts
  | ChargeFacts
  | GateFacts
  | PutBackFacts
  | OthersFacts
  | AwayFacts
  | UntestedFacts
  | OpenByHandFacts
  | TellFacts
  | TagFacts
  | SecondSignatureFacts
  | SignOffFacts;

export type StepKind = StepFacts["kind"];
/** One card: its facts. What it says is made of them by `words`, for a language and a system of units. */
export type Step = StepHead & StepFacts;
export type StepOf<K extends StepKind> = StepHead & Extract<StepFacts, { kind: K }>;

/** A step with the usual blanks filled in. */
export const step = <F extends StepFacts>(
  head: Pick<StepHead, "id" | "phase" | "minutes"> & Partial<StepHead>,
  facts: F,
): StepHead & F => ({ tools: [], forbidden: [], dangers: [], mayOverride: false, ...head, ...facts });
