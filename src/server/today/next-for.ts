import { changedBetween, slotsOf } from "../rounds/kept-weeks";
import { crewOf, isOfCrew } from "../rounds/my-day";
import type { Services } from "../services";

/** What is next for one of the crew, and how much of what is to come is another than people were told. */
export interface NextFor {
  readonly task: string;
  /** ISO 8601. */
  readonly from: string;
  readonly changed: number;
}

/** By the weeks as they stand in the book; nothing where people were told of none. No engine is asked. */
export function nextFor(services: Services, person: string): NextFor | undefined {
  const crew = crewOf(services, person)?.name;
  const weeks = services.things.all("rounds").filter(({ published }) => published !== undefined);
  if (crew === undefined || weeks.length === 0) return undefined;
  const now = new Date(services.now()).toISOString();
  const coming = new Map(
    [...slotsOf(weeks.flatMap(({ shifts }) => shifts))].filter(([, { from }]) => from > now),
  );
  const told = new Map(
    [...slotsOf(weeks.flatMap(({ published }) => published!.shifts))].filter(
      ([task, { from }]) => from > now || coming.has(task),
    ),
  );
  const [first] = [...coming]
    .filter(([, slot]) => slot.crew === crew)
    .sort(([, a], [, b]) => (a.from < b.from ? -1 : 1));
  const changed = changedBetween(told, coming).filter(isOfCrew(crew)).length;
  return first && { task: first[0], from: first[1].from, changed };
}
