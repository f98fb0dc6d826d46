import type { JobInputs } from "../formats";
import { dryJob, wetJob } from "./job.fixtures";
import { jobAt, planOf } from "./proof.fixtures";
import { prove } from "./prove";
import type { Step } from "./step";

/** Jobs that between them meet every rule. */
export const JOBS = {
  wet: wetJob({ policy: "what-was-disturbed" }),
  dry: dryJob(),
  mixer: jobAt("LD-M1", "ottermouth-spoolmix-25", "lido-water"),
  trap: jobAt("LD-T11", "lantern-bucket-20", "lido-steam", { reach: ["seat"] }),
  co2: jobAt("GC-SV2", "pell-frostgate-32", "gannet-co2"),
  stem: jobAt("GN-RV4A", "pell-guardian-t2", "gannet-low-side"),
  separator: jobAt("GC-RV5", "pell-guardian-c3", "gannet-co2"),
  regulator: jobAt("GC-HRV5", "pell-meter-h20", "gannet-co2", { build: "cone-small" }),
  beside: wetJob({
    policy: "what-was-disturbed",
    held: ["V-12", "V-15"].map((link) => ({ link, job: "job-2", valve: "NQ-H06" })),
  }),
  dryBeside: dryJob({
    held: ["V-11", "V-22"].map((link) => ({ link, job: "job-2", valve: "NQ-H02" })),
  }),
  softener: jobAt("LD-SF1", "ottermouth-brook-20", "lido-treatment"),
  pot: jobAt("GN-RV6", "pell-guardian-s1", "gannet-low-side"),
  preAction: jobAt("FS-PN1", "quillon-watchair-1", "ferry-shed"),
  booster: jobAt("SK-C1", "brae-skerrycheck-100", "skerry-booster"),
  cock: jobAt("RW-G21", "pell-ropewalk-20", "ropewalk-gas"),
  filter: jobAt("LD-IF1", "ottermouth-ironbrook-30", "lido-treatment"),
  /** Nothing that comes off holds water: only its power is shut. */
  coil: jobAt("LY-S1h", "harrow-pickle-15", "laundry-supply"),
  /** Only its gland is opened: nothing of the work moves it. */
  glandOnly: wetJob({ reach: ["gland-gasket"] }),
  engine: jobAt("FST-A1", "brae-swingout-3", undefined),
} satisfies Record<string, JobInputs>;
export type JobName = keyof typeof JOBS;
export const plans = Object.fromEntries(
  Object.entries(JOBS).map(([name, inputs]) => [name, planOf(inputs)]),
) as Record<JobName, ReturnType<typeof planOf>>;

export const proofOf = (
  job: JobName,
  change: (steps: readonly Step[]) => readonly Step[] = (steps) => steps,
) => prove({ ...plans[job], steps: change(plans[job].steps) }, JOBS[job]);
