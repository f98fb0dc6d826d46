import { daySheet, type MyDay } from "@/core/due-work";
import type { RoundsChanged } from "@/core/formats";
import { err, ok, type Problem, type Result } from "@/core/result";
import { speaker } from "@/words";
import type { Services } from "../services";
import { planNow } from "./planned-rounds";
import { type HouseGround, readAsked } from "./rounds-now";

/** The crew in which somebody goes out. @param person by id or name */
export function crewOf({ things, library }: Services, person: string) {
  const who = library.crew().find(({ id, name }) => id === person || name === person);
  return things
    .one("house", "house")
    ?.crews?.find(({ people }) => who !== undefined && people.includes(who.id));
}

export const isOfCrew =
  (crew: string) =>
  ({ was, is }: RoundsChanged): boolean =>
    was?.crew === crew || is?.crew === crew;

/** The day of one of the crew: today, or the next on which something is planned for his crew. */
export function myDay(services: Services, ground: HouseGround, person: string): Result<MyDay, Problem[]> {
  const { rounds } = speaker().say;
  const crew = crewOf(services, person);
  if (crew === undefined) return err([{ path: "?person", message: rounds.inNoCrew(person) }]);
  const { shifts, weeks } = planNow(services, ground);
  const now = services.now();
  const shift = shifts
    .filter((each) => each.crew === crew.name && each.visits.length > 0 && Date.parse(each.to) > now)
    .reduce<(typeof shifts)[number] | undefined>(
      (first, each) => (first && first.from <= each.from ? first : each),
      undefined,
    );
  if (shift === undefined) return err([{ path: "?person", message: rounds.nothingForYou(crew.name) }]);
  const at = Date.parse(shift.from);
  const week = weeks.findLast(({ from }) => from <= at);
  const midnight = (ms: number) => new Date(ms).setHours(0, 0, 0, 0);
  return ok({
    sheet: daySheet(ground.asked, readAsked(ground.asked), shift),
    begun: ground.asked.begun.filter(
      (each) => each.crew === crew.name && midnight(each.from) === midnight(at),
    ),
    published: week?.published !== undefined,
    changed: (week?.published?.since ?? []).filter(isOfCrew(crew.name)),
  });
}
