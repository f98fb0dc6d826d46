import {
  type HouseAsked,
  ifCalled,
  ifCrews,
  ifLate,
  type WhatIfAnswer,
  type WhatIfFigures,
} from "@/core/due-work";
import { isDay, type RoundsWeek } from "@/core/formats";
import { err, ok, type Problem, type Result } from "@/core/result";
import { type PlannedShift, planStood } from "@/core/rounds";
import { speaker } from "@/words";
import type { Services } from "../services";
import { crewsAsked } from "./crews-asked";
import { dateOf, dayAfter } from "./days";
import { fallenElsewhere } from "./fallen-elsewhere";
import { housePace } from "./house-pace";
import { weeksOf } from "./keep-rounds";
import { comingChanges, planWeeks, slotsOf } from "./kept-weeks";
import { whyMoved } from "./plan-again";
import { type HouseGround, readAsked } from "./rounds-now";

/** What may happen: somebody is ill, a kit comes later, a crew is called somewhere at once. */
export interface WhatIf {
  readonly kind: "ill" | "late" | "called";
  readonly person?: string;
  readonly what?: string;
  readonly place?: string;
  /** First day away, day it comes: year-month-day. */
  readonly day?: string;
  /** Days away. */
  readonly days?: number;
  readonly min?: number;
}

/** What one plan is beside another, kept nowhere: who may go where else, what it costs, what finds no room. */
export function whatIf(
  services: Services,
  ground: HouseGround,
  what: WhatIf,
): Result<WhatIfAnswer, Problem[]> {
  const { asked } = ground;
  const rows = weeksOf(services, ground);
  const ways = waysOf(services, asked, what);
  if (!ways.ok) return ways;
  const before = figuresOf(asked, rows);
  const answers = ways.value.map(({ crew, asked: then }): WhatIfAnswer => {
    const after = fallenElsewhere(then, rows);
    return {
      ...(crew !== undefined && { crew }),
      moved: movedIn(then, rows, after),
      before,
      after: figuresOf(then, after),
    };
  });
  // Where several crews may go, the one whose day can best do without it.
  const worth = ({ after: { left, late_days, overtime_min, km } }: WhatIfAnswer) =>
    1000 * left + 30 * late_days + overtime_min + km;
  return ok(answers.reduce((best, each) => (worth(each) < worth(best) ? each : best)));
}

interface Way {
  readonly crew?: string;
  readonly asked: HouseAsked;
}

function waysOf(services: Services, asked: HouseAsked, what: WhatIf): Result<readonly Way[], Problem[]> {
  const { rounds } = speaker().say;
  const problem = (path: string, message: string) => err([{ path, message }]);
  switch (what.kind) {
    case "ill": {
      const people = services.library.crew();
      const who = people.find(({ id, name }) => id === what.person || name === what.person);
      if (who === undefined) return problem("/person", rounds.whoIsIll);
      if (what.day === undefined || !isDay(what.day)) return problem("/day", rounds.fromWhichDay);
      const last = dateOf(dayAfter(midnightOf(what.day), (what.days ?? 1) - 1));
      const away = { ...who.away, [what.day]: last };
      const crews = crewsAsked(
        services,
        people.map((each) => (each === who ? { ...who, away } : each)),
        housePace(services),
      );
      return ok([{ asked: ifCrews(asked, crews) }]);
    }
    case "late": {
      if (what.what === undefined) return problem("/what", rounds.whatIsLate);
      if (what.day === undefined || !isDay(what.day)) return problem("/day", rounds.onWhichDay);
      return ok([{ asked: ifLate(asked, what.what, new Date(midnightOf(what.day)).toISOString()) }]);
    }
    case "called": {
      const place = services.things.all("place").find(({ name }) => name === what.place);
      if (place?.lat === undefined || place.lon === undefined) return problem("/place", rounds.calledWhere);
      const to = {
        place: `${place.lat} ${place.lon}`,
        lat: place.lat,
        lon: place.lon,
        min: what.min ?? 180,
      };
      const ways = asked.crews.flatMap(({ id }): Way[] => {
        const then = ifCalled(asked, id, to);
        return then === undefined ? [] : [{ crew: id, asked: then }];
      });
      return ways.length > 0 ? ok(ways) : problem("/place", rounds.nobodyOut);
    }
  }
}

/** When a day begins, by the clock on the wall of the server. */
const midnightOf = (day: string): number => new Date(`${day}T00:00:00`).getTime();

function figuresOf(asked: HouseAsked, rows: readonly RoundsWeek[]): WhatIfFigures {
  const { shifts } = planStood(readAsked(asked), planWeeks(asked.weeks, rows));
  const sum = (of: (shift: PlannedShift) => number) => shifts.reduce((all, shift) => all + of(shift), 0);
  const placed = slotsOf(shifts);
  const late = sum(({ visits }) => visits.reduce((all, { late_min = 0 }) => all + late_min, 0));
  return {
    km: sum(({ km }) => km),
    overtime_min: sum(({ overtime_min }) => overtime_min),
    late_days: late / 1440,
    left: asked.question.tasks.filter(({ id }) => !placed.has(id)).length,
  };
}

function movedIn(asked: HouseAsked, before: readonly RoundsWeek[], after: readonly RoundsWeek[]) {
  const read = readAsked(asked);
  const words = speaker();
  const shifts = after.flatMap((row) => row.shifts);
  return comingChanges(asked, before, after).map((change) => ({
    ...change,
    says: whyMoved(words, read, asked, [], shifts, change),
  }));
}
