import type { HowLong } from "@/core/due-work";
import { formatDuration } from "@/core/quantity";
import type { Speaker } from "./speaker";

/** How long work takes each of these crews, and what that is learnt from. */
export function howLongWords(
  { say }: Speaker,
  long: HowLong,
  crews: readonly string[],
): { readonly takes: readonly string[]; readonly learnt: string } {
  const { rounds } = say;
  // A figure stays on one line with its unit.
  const lasts = (min: number) => formatDuration(Math.round(min) * 60).replaceAll(" ", "\u00a0");
  const known = crews.flatMap((crew) => {
    const taken = long.by[crew];
    return taken === undefined ? [] : [{ crew, ...taken }];
  });
  return {
    takes: known.map(({ crew, half, most }) => rounds.takesCrew(crew, lasts(half), lasts(most))),
    learnt: rounds.learntFrom(lasts(long.compiled), long.jobs, known),
  };
}
