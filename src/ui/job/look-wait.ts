import type { Disposition } from "@/core/formats";
import { lookWait, type Progress, type StepOf } from "@/core/job";

/** What is wrong shows when it shows: no wait has to be sat out for it. */
export const showsAtOnce = (means: Disposition | undefined): boolean =>
  means !== undefined && means !== "reuse";

/** Whether the wait of a look is still to be started, and what was chosen does not make it needless. */
export const startsFirst = (
  step: StepOf<"check">,
  progress: Progress,
  means: Disposition | undefined,
): boolean => lookWait(step, progress).kind === "not-started" && !showsAtOnce(means);
