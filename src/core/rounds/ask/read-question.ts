import type { RoundsQuestion, RoundsTask } from "../../formats";
import { distance } from "../../places";
import { err, ok, type Problem, type Result } from "../../result";

export type AskedCrew = RoundsQuestion["crews"][number];

export interface AskedShift {
  readonly crew: AskedCrew;
  /** Place where it begins. */
  readonly start: string;
  /** ms since the epoch. */
  readonly from: number;
  readonly to: number;
  /** That day. */
  readonly people: number;
  readonly skills: readonly string[];
}

/** A question whose names all lead somewhere, with the ways between its places. */
export interface Asked {
  readonly question: RoundsQuestion;
  /** Earliest first. */
  readonly shifts: readonly AskedShift[];
  readonly areaOf: (place: string) => string;
  readonly minutes: (from: string, to: string) => number;
  readonly km: (from: string, to: string) => number;
}

const MIN_MS = 60_000;
const DEFAULT = { km_per_h: 25, detour: 1.3, stop_min: 3 } as const;

/** Holds what the schema cannot: names that lead somewhere, spans that end after they begin, ways from place to place. */
export function readRounds(question: RoundsQuestion): Result<Asked, readonly Problem[]> {
  const problems = [
    ...twice(question.places, "places"),
    ...twice(question.tasks, "tasks"),
    ...twice(question.crews, "crews"),
    ...twice(question.shutdowns ?? [], "shutdowns"),
    ...unknownNames(question),
    ...badSpans(question),
    ...badTravel(question),
  ];
  if (problems.length > 0) return err(problems);
  const shifts = question.crews
    .flatMap((crew) =>
      crew.shifts.map(({ start, from, to, people, skills }) => ({
        crew,
        start: start ?? crew.base,
        from: Date.parse(from),
        to: Date.parse(to),
        people: people ?? crew.people ?? 1,
        skills: skills ?? crew.skills ?? [],
      })),
    )
    .sort((a, b) => a.from - b.from || (a.crew.id < b.crew.id ? -1 : 1));
  const lost = question.tasks.flatMap(({ keep }, index): Problem[] =>
    keep === undefined || shifts.some((shift) => keeps(keep, shift))
      ? []
      : [
          {
            path: `/tasks/${index}/keep`,
            message: `Crew "${keep.crew}" has no shift on that day. Give it one, or leave "keep" out.`,
          },
        ],
  );
  return lost.length > 0 ? err(lost) : ok({ question, shifts, ...waysOf(question) });
}

/** Whether a shift may be the one that a task is kept in: the last such is. What is in its overtime is, too. */
export const keeps = (keep: NonNullable<RoundsTask["keep"]>, { crew, from, to }: AskedShift): boolean => {
  const at = Date.parse(keep.from);
  return crew.id === keep.crew && at >= from && at < to + (crew.overtime_min ?? 0) * MIN_MS;
};

function twice(list: readonly { readonly id: string }[], path: string): Problem[] {
  const seen = new Set<string>();
  return list.flatMap(({ id }, index) => {
    const again = seen.has(id);
    seen.add(id);
    return again
      ? [{ path: `/${path}/${index}/id`, message: `"${id}" stands there twice. Give each its own.` }]
      : [];
  });
}

function unknownNames({ places, tasks, crews, shutdowns = [] }: RoundsQuestion): Problem[] {
  const known = (list: readonly { readonly id: string }[]) => new Set(list.map(({ id }) => id));
  const [atPlace, ofCrew, ofShutdown] = [known(places), known(crews), known(shutdowns)];
  const missing = (path: string, name: string, list: string): Problem => ({
    path,
    message: `"${name}" is not among "${list}". Add it there, or correct the name.`,
  });
  return [
    ...tasks.flatMap(({ place, shutdown, keep }, index) => [
      ...(atPlace.has(place) ? [] : [missing(`/tasks/${index}/place`, place, "places")]),
      ...(shutdown === undefined || ofShutdown.has(shutdown)
        ? []
        : [missing(`/tasks/${index}/shutdown`, shutdown, "shutdowns")]),
      ...(keep === undefined || ofCrew.has(keep.crew)
        ? []
        : [missing(`/tasks/${index}/keep/crew`, keep.crew, "crews")]),
    ]),
    ...crews.flatMap(({ base, shifts }, index) => [
      ...(atPlace.has(base) ? [] : [missing(`/crews/${index}/base`, base, "places")]),
      ...shifts.flatMap(({ start }, at) =>
        start === undefined || atPlace.has(start)
          ? []
          : [missing(`/crews/${index}/shifts/${at}/start`, start, "places")],
      ),
    ]),
  ];
}

function badSpans({ tasks, crews }: RoundsQuestion): Problem[] {
  const bad = (spans: readonly { readonly from: string; readonly to: string }[], path: string): Problem[] => {
    const sorted = spans.map((span, index) => ({
      index,
      from: Date.parse(span.from),
      to: Date.parse(span.to),
    }));
    const ends = sorted.filter(({ from, to }) => to <= from);
    if (ends.length > 0)
      return ends.map(({ index }) => ({
        path: `${path}/${index}/to`,
        message: "This ends before it begins.",
      }));
    sorted.sort((a, b) => a.from - b.from);
    return sorted
      .slice(1)
      .flatMap((span, at) =>
        span.from < sorted[at]!.to
          ? [{ path: `${path}/${span.index}`, message: "This overlaps another. Make one of the two." }]
          : [],
      );
  };
  const waits = tasks.flatMap(({ stretches }, task) =>
    stretches.flatMap(({ wait_min: wait = 0, wait_most_min: most }, index) =>
      most !== undefined && most < wait
        ? [
            {
              path: `/tasks/${task}/stretches/${index}/wait_most_min`,
              message: `It cannot stand at most ${most} min when it must stand ${wait} min.`,
            },
          ]
        : [],
    ),
  );
  return [
    ...tasks.flatMap(({ windows }, index) => bad(windows ?? [], `/tasks/${index}/windows`)),
    ...crews.flatMap(({ shifts }, index) => bad(shifts, `/crews/${index}/shifts`)),
    ...waits,
  ];
}

function badTravel({ places, travel }: RoundsQuestion): Problem[] {
  const square = (name: "minutes" | "km"): Problem[] => {
    const rows = travel?.[name];
    if (rows === undefined) return [];
    const right = rows.length === places.length && rows.every((row) => row.length === places.length);
    return right
      ? []
      : [
          {
            path: `/travel/${name}`,
            message: `There are ${places.length} places: give as many rows of as many figures.`,
          },
        ];
  };
  const problems = [...square("minutes"), ...square("km")];
  if (problems.length > 0 || (travel?.minutes !== undefined && travel.km !== undefined)) return problems;
  return places.flatMap(({ id, lat, lon }, index) =>
    lat === undefined || lon === undefined
      ? [
          {
            path: `/places/${index}`,
            message: `Where "${id}" lies is not known. Give its lat and lon, or the tables "travel/minutes" and "travel/km".`,
          },
        ]
      : [],
  );
}

function waysOf({ places, travel }: RoundsQuestion): Pick<Asked, "areaOf" | "minutes" | "km"> {
  const rows = new Map(places.map((place, row) => [place.id, { ...place, row }]));
  const { km_per_h, detour, stop_min } = { ...DEFAULT, ...travel };
  const km = (from: string, to: string): number => {
    const [a, b] = [rows.get(from)!, rows.get(to)!];
    if (travel?.km !== undefined) return travel.km[a.row]![b.row]!;
    return from === to
      ? 0
      : (detour * distance({ lat: a.lat!, lon: a.lon! }, { lat: b.lat!, lon: b.lon! })) / 1000;
  };
  return {
    areaOf: (place) => rows.get(place)!.area ?? place,
    km,
    minutes: (from, to) => {
      if (travel?.minutes !== undefined) return travel.minutes[rows.get(from)!.row]![rows.get(to)!.row]!;
      return from === to ? 0 : (km(from, to) / km_per_h) * 60 + stop_min;
    },
  };
}
