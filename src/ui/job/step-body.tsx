"use client";

import type { ReactNode } from "react";
import type { Step } from "@/core/job";
import { SignOffBody, TrayBody } from "./bodies-finish";
import { CaptureBody, CheckBody, CollectBody } from "./bodies-inspect";
import { GaugeBody, ShutBody, WaitBody, WriteDownBody } from "./bodies-isolate";
import { FitBody, TightenBody } from "./bodies-rebuild";
import { AskTwiceBody, ConfirmBody, CrackBody, StripBody } from "./bodies-strip";
import { StepForm } from "./step-form";
import type { JobLog } from "./use-job-log";

export function StepBody({
  step,
  log,
  onChosen,
}: {
  step: Step;
  log: JobLog;
  onChosen: (means: string | undefined) => void;
}): ReactNode {
  switch (step.kind) {
    case "shut":
      return <ShutBody key={step.id} step={step} log={log} />;
    case "write-down":
      return <WriteDownBody key={step.id} step={step} log={log} />;
    case "gauge":
      return <GaugeBody key={step.id} step={step} log={log} />;
    case "wait":
      return <WaitBody key={step.id} step={step} log={log} />;
    case "capture":
      return <CaptureBody key={step.id} step={step} log={log} />;
    case "check":
      return <CheckBody key={step.id} step={step} log={log} onChosen={onChosen} />;
    case "collect":
      return <CollectBody key={step.id} step={step} log={log} />;
    case "fit":
      return <FitBody key={step.id} step={step} log={log} />;
    case "tighten":
      return <TightenBody key={step.id} step={step} log={log} />;
    case "tray":
      return <TrayBody key={step.id} step={step} log={log} />;
    case "sign-off":
      return <SignOffBody key={step.id} step={step} log={log} />;
    case "blocked":
      return null;
    case "strip":
      return <StripBody key={step.id} step={step} log={log} />;
    case "crack":
      return <CrackBody key={step.id} step={step} log={log} />;
    case "ask-twice":
      return <AskTwiceBody key={step.id} step={step} log={log} />;
    case "confirm":
      return <ConfirmBody key={step.id} step={step} log={log} />;
    case "do":
    case "open":
      return (
        <StepForm onDone={() => log.add({ kind: "step-done", step: step.id })}>
          {(step.kind === "open" && step.where) || null}
        </StepForm>
      );
  }
}
