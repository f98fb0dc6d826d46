import type { Pace } from "../rounds";
import type { DueWork } from "./work-of";

/** How long a piece of work takes, with its waits: as compiled, and as jobs here took. */
export interface HowLong {
  /** min. */
  readonly compiled: number;
  /** Jobs of its family that were counted. */
  readonly jobs: number;
  /** Of each crew: half of all jobs take no longer, four of five take no longer, min; and its jobs that were counted. */
  readonly by: Readonly<
    Record<string, { readonly half: number; readonly most: number; readonly jobs: number }>
  >;
}

const handsOn = ({ stretches, shut_min, restore_min }: DueWork): number =>
  stretches.reduce((sum, { work_min }) => sum + work_min, shut_min + restore_min);

/** Compiled work with all that is hands-on so many times as long: what it waits for the thing takes no longer. */
const takingTimes = (work: DueWork, times: number): DueWork => ({
  ...work,
  minutes: work.minutes + (times - 1) * handsOn(work),
  stretches: work.stretches.map((stretch) => ({ ...stretch, work_min: times * stretch.work_min })),
  shut_min: times * work.shut_min,
  restore_min: times * work.restore_min,
});

/** Compiled work as its family takes here, and how long each crew takes for it. */
export const asTaken = (
  work: DueWork,
  family: string,
  pace: Pace,
  crews: readonly string[],
): { readonly work: DueWork; readonly long: HowLong } => ({
  work: takingTimes(work, pace.ofFamily(family)),
  long: howLong(work, family, pace, crews),
});

function howLong(work: DueWork, family: string, pace: Pace, crews: readonly string[]): HowLong {
  const taking = (times: number) => takingTimes(work, times).minutes;
  return {
    compiled: work.minutes,
    jobs: pace.jobsOfFamily(family),
    by: Object.fromEntries(
      crews.map((crew) => {
        const { half, most } = pace.of(family, crew);
        return [crew, { half: taking(half), most: taking(most), jobs: pace.jobsOfCrew(crew) }];
      }),
    ),
  };
}
