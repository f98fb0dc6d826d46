import type { RoundsQuestion } from "../formats";
import type { HouseAsked } from "./house-rounds";
import { afterBegun, withReport } from "./reported";

/** What is asked if the crews were these. */
export function ifCrews(asked: HouseAsked, crews: RoundsQuestion["crews"]): HouseAsked {
  const spotOf = new Map(asked.begun.map(({ task, spot }) => [task, spot]));
  return {
    ...asked,
    question: afterBegun({ ...asked.question, crews }, asked.begun, (task) => spotOf.get(task), asked.at),
  };
}

/** What is asked if a kit, part or supply were there only then: what takes it along waits for it. @param until ISO 8601 */
export function ifLate(asked: HouseAsked, kit: string, until: string): HouseAsked {
  const waits = Object.entries(asked.brings).flatMap(([task, { kits, missing, supplies }]) =>
    kits.some(({ name }) => name === kit) || missing.includes(kit) || supplies.includes(kit) ? [task] : [],
  );
  const at = new Date(asked.at).toISOString();
  const tasks = waits.reduce(
    (all, task) => withReport(all, { kind: "no-way-in", task, at, by: kit, until }),
    asked.question.tasks,
  );
  return { ...asked, question: { ...asked.question, tasks } };
}

/** Somewhere that a crew is sent to at once. */
export interface CalledTo {
  readonly place: string;
  readonly lat: number;
  readonly lon: number;
  /** How long it is there, with the way. min */
  readonly min: number;
}

const MIN_MS = 60_000;

/** What is asked if a crew that is on shift went there now; nothing where it is on none. */
export function ifCalled(asked: HouseAsked, crew: string, { min, ...to }: CalledTo): HouseAsked | undefined {
  const { question, at } = asked;
  const back = at + min * MIN_MS;
  const on = question.crews
    .find(({ id }) => id === crew)
    ?.shifts.find((shift) => Date.parse(shift.from) <= at + MIN_MS && Date.parse(shift.to) > at);
  if (on === undefined) return undefined;
  const { place: id, ...spot } = to;
  const known = question.places.some((each) => each.id === id);
  return {
    ...asked,
    question: {
      ...question,
      places: known ? question.places : [...question.places, { id, ...spot, area: id }],
      crews: question.crews.map((each) =>
        each.id === crew
          ? {
              ...each,
              shifts: each.shifts.flatMap((shift) => {
                if (shift !== on) return [shift];
                if (back >= Date.parse(shift.to)) return [];
                return [{ ...shift, from: new Date(back).toISOString(), start: id }];
              }),
            }
          : each,
      ),
    },
  };
}
