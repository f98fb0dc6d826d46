"use client";

import { haltedBy, type Run, type Step } from "@/core/job";
import { useSpeaker } from "../use-speaker";
import { CloseModal, ReasonModal } from "./later";
import type { JobLog } from "./use-job-log";

/** What is done instead of what the step says, each with a reason or a signature. */
export type Asking = "skip" | "renew" | "close";

/** Whether the part that is looked at could be renewed though it need not. */
const mayRenew = (step: Step, job: Run): boolean =>
  step.kind === "check" &&
  step.phase === "inspect" &&
  step.check.part !== undefined &&
  !job.plan.renewals.some(({ part }) => part === step.check.part);

export function Asides({ step, job, onAsk }: { step: Step; job: Run; onAsk: (what: Asking) => void }) {
  const { aside } = useSpeaker().say.card;
  const link = "min-h-12 px-1 text-soft underline underline-offset-4";
  return (
    <div className="flex flex-wrap gap-2">
      {step.mayOverride && (
        <button type="button" className={link} onClick={() => onAsk("skip")}>
          {aside.skip}
        </button>
      )}
      {mayRenew(step, job) && (
        <button type="button" className={link} onClick={() => onAsk("renew")}>
          {aside.renew}
        </button>
      )}
    </div>
  );
}

/** Asks for the reason, or the signature, of what was chosen aside. */
export function AskedReason({
  log,
  step,
  asking,
  onClose,
}: {
  log: JobLog;
  step: Step;
  asking: Asking | undefined;
  onClose: () => void;
}) {
  const { aside } = useSpeaker().say.card;
  return (
    <>
      <CloseModal
        open={asking === "close"}
        onClose={onClose}
        onSigned={(by, handedOver) => {
          const says = haltedBy(log.job, step) ?? "";
          log.add(
            {
              kind: "signed-off",
              statement: aside.closed(says).slice(0, 400),
              ...(handedOver !== undefined && { handedOver }),
            },
            { by },
          );
          onClose();
        }}
      />
      <ReasonModal
        open={asking === "skip"}
        onClose={onClose}
        title={aside.skipTitle}
        says={aside.skipSays}
        onReason={(reason) => log.add({ kind: "step-overridden", step: step.id, reason })}
      />
      <ReasonModal
        open={asking === "renew"}
        onClose={onClose}
        title={aside.renew}
        says={aside.renewSays}
        onReason={(reason) =>
          step.kind === "check" &&
          step.check.part !== undefined &&
          log.add({ kind: "part-judged", part: step.check.part, disposition: "renew", reason })
        }
      />
    </>
  );
}
