import {
  certificatesOf,
  type House,
  holdsAt,
  type Person,
  type RoundsQuestion,
  type WEEKDAYS,
} from "../formats";

/** A day as the house has it. */
export interface HouseDay {
  /** Year-month-day. */
  readonly date: string;
  readonly weekday: (typeof WEEKDAYS)[number];
  /** ms since the epoch of an hour of it, "07:30". */
  readonly at: (clock: string) => number;
}

type AskedCrew = RoundsQuestion["crews"][number];

/** min of a shift that rounds may run over. */
const OVERTIME_MIN = 30;

/** Why nobody can be planned for. */
export type NoCrews =
  | { readonly kind: "no-crews" }
  | { readonly kind: "nobody-on-shift"; readonly crews: readonly string[] };

/**
 * The crews of a house with the shifts of some days: as long as all of them work who are not away; who is away is missing,
 * with what only he may do.
 *
 * @param base the place a person's day begins at
 */
export function crewsOn(
  { crews = [], shifts = [], closed = {} }: House,
  people: readonly Person[],
  days: readonly HouseDay[],
  base: (person: Person) => string,
): AskedCrew[] {
  const byId = new Map(people.map((person) => [person.id, person]));
  const shiftOf = new Map(shifts.map((shift) => [shift.id, shift]));
  return crews.flatMap(({ name, people: members }): AskedCrew[] => {
    const all = members.flatMap((id) => byId.get(id) ?? []);
    if (all.length === 0) return [];
    const spans = days.flatMap((day) => {
      if (closed[day.date] !== undefined) return [];
      const here = all.flatMap((person) => {
        const shift = shiftOf.get(person.shift ?? "");
        const works = shift?.days.includes(day.weekday) === true && !isAway(person, day.date);
        return works ? [{ person, from: day.at(shift.from), to: endOf(day, shift) }] : [];
      });
      const [from, to] = [
        Math.max(...here.map((each) => each.from)),
        Math.min(...here.map((each) => each.to)),
      ];
      if (here.length === 0 || to <= from) return [];
      return [
        {
          from: new Date(from).toISOString(),
          to: new Date(to).toISOString(),
          people: here.length,
          skills: skillsOf(
            here.map(({ person }) => person),
            from,
          ),
        },
      ];
    });
    return [{ id: name, base: base(all[0]!), people: all.length, shifts: spans, overtime_min: OVERTIME_MIN }];
  });
}

/** A night shift ends on the day after. */
function endOf({ at }: HouseDay, { from, to }: { readonly from: string; readonly to: string }): number {
  return to > from ? at(to) : at(to) + 86_400_000;
}

const isAway = ({ away = {} }: Person, date: string): boolean =>
  Object.entries(away).some(([from, to]) => date >= from && date <= (to as string));

const skillsOf = (people: readonly Person[], at: number): string[] => [
  ...new Set(
    people.flatMap((person) =>
      Object.entries(certificatesOf(person)).flatMap(([what, { until }]) =>
        holdsAt(until, at) ? [what] : [],
      ),
    ),
  ),
];
