import { asTaken, type DueWork } from "@/core/due-work";
import { type Pace, paceOf } from "@/core/rounds";
import type { Services } from "../services";
import { mondayBefore } from "./days";

/** How long work takes here, and what is compiled as that takes. */
export interface HousePace extends Pace {
  readonly taken: (work: DueWork, family: string) => ReturnType<typeof asTaken>;
}

/** Older ones say little of how it goes now. */
const MOST_JOBS = 2000;

/**
 * How long work takes here, by the jobs that were signed before this week began: what is planned does not move with each
 * signature.
 */
export function housePace({ library, summaries, things, now }: Services): HousePace {
  const names = new Map(library.crew().map(({ id, name }) => [id, name]));
  const crews = (things.one("house", "house")?.crews ?? []).map(({ name, people }) => ({
    name,
    people: people.map((id) => names.get(id) ?? id),
  }));
  const crewOf = (by: Readonly<Record<string, number>>) =>
    crews
      .map(({ name, people }) => ({ name, entries: people.reduce((sum, each) => sum + (by[each] ?? 0), 0) }))
      .filter(({ entries }) => entries > 0)
      .sort((a, b) => b.entries - a.entries)[0]?.name;
  const pace = paceOf(
    summaries.worked(mondayBefore(now()), MOST_JOBS).map(({ sheet, worked }) => ({
      family: library.sheet(sheet)?.family ?? sheet,
      crew: crewOf(worked.by),
      taken: worked.taken,
      compiled: worked.compiled,
    })),
  );
  return {
    ...pace,
    taken: (work, family) =>
      asTaken(
        work,
        family,
        pace,
        crews.map(({ name }) => name),
      ),
  };
}
