import {
  type Apart,
  afterBegun,
  type BegunWork,
  begunIn,
  dueTasks,
  type HouseAsked,
  type NoCrews,
  type RoundsWork,
  saidOfWork,
  withReport,
} from "@/core/due-work";
import type { RoundsWeek } from "@/core/formats";
import { placeOf } from "@/core/places";
import { err, ok, type Result } from "@/core/result";
import type { Services } from "../services";
import { crewsAsked } from "./crews-asked";
import { dateOf, dayAfter, daysFrom, mondayBefore, WEEKS } from "./days";
import { dueRinging } from "./due-ringing";
import { housePace } from "./house-pace";
import { NOWHERE, placesByName, type RingingValve, spotKey } from "./ringing-valve";

/** Of a usual machine. */
const SECONDS = 3;

/** What is asked of the next quarter of this house: what rings, how long each takes, and who is on shift. */
export function askHouse(services: Services): Result<HouseAsked, NoCrews> {
  const { library, things, now } = services;
  const house = things.one("house", "house");
  const people = library.crew();
  const names = new Map(people.map(({ id, name }) => [id, name]));
  if ((house?.crews ?? []).length === 0) return err({ kind: "no-crews" });
  const monday = mondayBefore(now());
  const until = dayAfter(monday, 7 * WEEKS);
  const places = placesByName(services);
  const pace = housePace(services);
  const crews = crewsAsked(services, people, pace);
  if (crews.every(({ shifts }) => shifts.length === 0))
    return err({ kind: "nobody-on-shift", crews: crews.map(({ id }) => id) });
  const rows = things.all("rounds").filter(({ id }) => id >= dateOf(monday));
  const told = toldIn(rows, now());
  const { ringing: all, not, ...beside } = dueRinging(services, until, pace);
  // Who wants to be told before was told when it was published.
  const ringing = all.map((each) =>
    told.has(each.tag) ? { ...each, mayBeDone: { ...each.mayBeDone, noticeDays: 0 } } : each,
  );
  const { tasks, shutdowns } = dueTasks(ringing, beside, { now: now(), until, days: daysFrom(now(), until) });
  const begun = begunWork(services, rows, ringing, not);
  const spots = [
    ...new Set([...[...ringing, ...begun].map(({ spot }) => spot), ...crews.map(({ base }) => base)]),
  ];
  const firstBase = crews.map(({ base }) => base).find((base) => base !== NOWHERE) ?? "0 0";
  const areaOf = new Map(
    [...begun, ...ringing].map(({ spot, place }) => [spot, placeOf(place, places)?.name ?? place]),
  );
  const spotOfBegun = new Map(begun.map(({ task, spot }) => [task, spot]));
  return ok({
    at: now(),
    weeks: Array.from({ length: WEEKS }, (_, week) => {
      const from = dayAfter(monday, 7 * week);
      return { id: dateOf(from), from };
    }),
    works: worksOf(ringing, beside.apart),
    joint: beside.joint,
    brings: Object.fromEntries(ringing.map(({ tag, work }) => [tag, work.bring])),
    not,
    begun,
    crews: house!.crews!.map(({ name, people: members }) => ({
      id: name,
      people: members.map((id) => names.get(id) ?? id),
      skills: [...new Set(crews.find(({ id }) => id === name)?.shifts.flatMap(({ skills = [] }) => skills))],
    })),
    question: afterBegun(
      {
        places: spots.map((spot) => {
          const [lat, lon] = (spot === NOWHERE ? firstBase : spot).split(" ").map(Number);
          return { id: spot, lat: lat!, lon: lon!, area: (areaOf.get(spot) ?? spot).slice(0, 100) };
        }),
        tasks: saidOfWork(rows, now()).reduce(withReport, tasks),
        crews,
        shutdowns,
        week_from: new Date(monday).toISOString(),
        seed: 1,
        seconds: SECONDS,
      },
      begun,
      (task) => spotOfBegun.get(task),
      now(),
    ),
  });
}

function worksOf(ringing: readonly RingingValve[], apart: readonly Apart[]): HouseAsked["works"] {
  const workOf = (valve: RingingValve): RoundsWork => ({
    tag: valve.tag,
    name: valve.name,
    place: valve.place,
    what: valve.what,
    why: valve.why,
    due: valve.due,
    minutes: valve.work.minutes,
    long: valve.long,
    needs: valve.work.needs,
    people: valve.work.people,
    lost: valve.work.lost,
    apart: apart.flatMap(({ tags, because }) =>
      tags.includes(valve.tag) ? [{ tag: tags.find((tag) => tag !== valve.tag)!, because }] : [],
    ),
    ...(valve.line !== undefined && { line: valve.line }),
    ...(valve.work.shut !== undefined && { opens: valve.work.shut.opens }),
    ...(valve.job !== undefined && { job: valve.job }),
    ...(valve.spot === NOWHERE && { nowhere: true }),
  });
  return Object.fromEntries(ringing.map((valve) => [valve.tag, workOf(valve)]));
}

/** What people were told of, and what is still to come. */
const toldIn = (weeks: readonly RoundsWeek[], now: number): ReadonlySet<string> =>
  new Set(
    weeks
      .flatMap(({ published }) => published?.shifts.flatMap(({ visits }) => visits) ?? [])
      .flatMap(({ task, to }) => (Date.parse(to) > now ? [task] : [])),
  );

/** What crews are at or have done of what was planned, and where that is. */
function begunWork(
  services: Services,
  rows: readonly RoundsWeek[],
  ringing: readonly RingingValve[],
  not: HouseAsked["not"],
): BegunWork[] {
  const { register, now } = services;
  const places = placesByName(services);
  const tags = new Set(ringing.map(({ tag }) => tag));
  const atWork = new Set(not.flatMap(({ tag, kind }) => (kind === "at-work" ? [tag] : [])));
  return begunIn(rows, { now: now(), atWork, rings: (task) => tags.has(task) }).flatMap((begun) => {
    const valve = register.valve(begun.task);
    if (valve === undefined) return [];
    return [{ ...begun, name: valve.name, place: valve.place, spot: spotKey(valve, places) }];
  });
}
