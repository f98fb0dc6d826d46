import type { ReactNode } from "react";
import type { Step, StepOf } from "@/core/job";
import type { JobLog } from "./use-job-log";

export const STEP_FORM = "step-form";

export interface BodyProps<K extends Step["kind"]> {
  readonly step: StepOf<K>;
  readonly log: JobLog;
}

/** The form around a step: the wide button below and the Enter key submit it. */
export function StepForm({ onDone, children }: { onDone: () => void; children?: ReactNode }) {
  return (
    <form
      id={STEP_FORM}
      className="flex flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        onDone();
      }}
    >
      {children}
    </form>
  );
}
