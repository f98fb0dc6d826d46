import type { Tool } from "../formats";
import type { Spot } from "../places";
import type { Asked, PlannedShift } from "../rounds";
import type { Bring, TellBefore } from "./bring";
import type { HouseAsked, RoundsWork } from "./house-rounds";
import type { JointWork } from "./shut-once";

/** One piece of work of a day, in the order in which it is begun. */
export interface DayStop
  extends Pick<RoundsWork, "tag" | "name" | "place" | "what" | "lost" | "line" | "job"> {
  /** From 1. */
  readonly order: number;
  /** What is opened, where anything is shut for it. */
  readonly opens?: readonly string[];
  /** Stretches of work, ms; what lies between them stands by itself. */
  readonly parts: readonly { readonly from: number; readonly to: number; readonly stretch: number }[];
  readonly spot?: Spot;
  /** What is shut off with it, once, on this day. */
  readonly with: readonly string[];
  /** Late after its date, min. */
  readonly lateMin: number;
}

/** A way from one place to another. */
export interface Leg {
  /** ms. */
  readonly from: number;
  readonly to: number;
  readonly km: number;
}

/** Something to take along, and what it is for. */
export interface Packed {
  readonly name: string;
  readonly pieces?: number;
  /** Where it lies. */
  readonly place?: string;
  readonly for: readonly string[];
}

/** Whom to tell that something is out, and from when to when it is. */
export interface DayTold extends Partial<Omit<TellBefore, "name">> {
  readonly names: readonly string[];
  readonly from: number;
  readonly to: number;
  /** For which work; several where they are shut off once. */
  readonly tags: readonly string[];
  /** When they are told at the latest, ms, where they want to know days before. */
  readonly by?: number;
}

/** One crew's day: where to, what to take along, whom to tell. */
export interface DaySheet {
  readonly crew: string;
  readonly people: readonly string[];
  /** ms. */
  readonly from: number;
  readonly to: number;
  readonly back: number;
  readonly km: number;
  readonly driveMin: number;
  readonly overMin: number;
  readonly base?: Spot;
  readonly stops: readonly DayStop[];
  readonly legs: readonly Leg[];
  readonly kits: readonly Packed[];
  /** What no place has. */
  readonly missing: readonly Packed[];
  readonly supplies: readonly Packed[];
  readonly tools: readonly { readonly tool: Tool; readonly for: readonly string[] }[];
  readonly gear: readonly Packed[];
  /** That hang at a time at the most. */
  readonly locks: number;
  readonly tell: readonly DayTold[];
  /** What is shut off once on this day. */
  readonly joint: readonly DayJoint[];
}

/** What is shut off once, and what that saves where all of it is done on this day. */
export interface DayJoint extends Pick<JointWork, "tags" | "locks"> {
  readonly saves?: JointWork["saves"];
}

const MIN_MS = 60_000;
const DAY_MS = 86_400_000;

export function daySheet(asked: HouseAsked, read: Asked, shift: PlannedShift): DaySheet {
  const { works, brings, crews } = asked;
  const tags = [...new Set(shift.visits.map(({ task }) => task))];
  const joint = asked.joint.flatMap(({ tags: all, locks, saves }): DayJoint[] => {
    const here = all.filter((tag) => tags.includes(tag));
    if (here.length < 2) return [];
    return [{ tags: here, locks, ...(here.length === all.length && { saves }) }];
  });
  const withOf = (tag: string) =>
    joint.find((each) => each.tags.includes(tag))?.tags.filter((each) => each !== tag) ?? [];
  const stops = tags.map((tag, at) => ({
    ...stopOf(read, works[tag]!, shift, at + 1),
    with: withOf(tag),
  }));
  const crew = read.question.crews.find(({ id }) => id === shift.crew);
  const base = crew === undefined ? undefined : spotOf(read, crew.base);
  const start = startOf(crew, shift);
  return {
    crew: shift.crew,
    people: crews.find(({ id }) => id === shift.crew)?.people ?? [],
    from: Date.parse(shift.from),
    to: Date.parse(shift.to),
    back: Date.parse(shift.back),
    km: shift.km,
    driveMin: shift.drive_min,
    overMin: shift.overtime_min,
    ...(base && { base }),
    stops,
    legs: legsOf(read, shift, start, crew?.base),
    ...packedOf(tags, brings),
    locks: mostLocks(stops, brings, joint),
    tell: stops.flatMap((stop) => toldOf(stop, stops, brings)),
    joint,
  };
}

function stopOf(
  read: Asked,
  work: RoundsWork,
  { visits }: PlannedShift,
  order: number,
): Omit<DayStop, "with"> {
  const own = visits.filter(({ task }) => task === work.tag);
  const spot = spotOf(read, own[0]!.place);
  const { tag, name, place, what, lost, line, opens, job } = work;
  return {
    order,
    ...{ tag, name, place, what, lost },
    parts: own.map(({ from, to, stretch }) => ({ from: Date.parse(from), to: Date.parse(to), stretch })),
    ...(line !== undefined && { line }),
    ...(opens !== undefined && { opens }),
    ...(job !== undefined && { job }),
    ...(spot && { spot }),
    lateMin: Math.max(0, ...own.map(({ late_min = 0 }) => late_min)),
  };
}

/** Where a place of the question lies; nothing where nobody knows. */
function spotOf({ question }: Asked, place: string): Spot | undefined {
  const [lat, lon] = place.split(" ").map(Number);
  const known = question.places.some(({ id }) => id === place);
  return known && Number.isFinite(lat) && Number.isFinite(lon) ? { lat: lat!, lon: lon! } : undefined;
}

/** The place where it begins: at the base, or where the crew is. */
const startOf = (crew: Asked["question"]["crews"][number] | undefined, { from }: PlannedShift) =>
  crew?.shifts.find((each) => each.from === from)?.start ?? crew?.base;

/** Ways that are driven, each just before what it leads to. */
function legsOf(
  read: Asked,
  { visits, back }: PlannedShift,
  start: string | undefined,
  base: string | undefined,
): Leg[] {
  if (start === undefined || base === undefined) return [];
  const legs: Leg[] = [];
  let here = start;
  const go = (to: string, at: number) => {
    if (to !== here) legs.push({ from: at - read.minutes(here, to) * MIN_MS, to: at, km: read.km(here, to) });
    here = to;
  };
  for (const { place, from } of visits) go(place, Date.parse(from));
  go(base, Date.parse(back));
  return legs;
}

/** All that is taken along for some pieces of work, each thing once. */
function packedOf(
  tags: readonly string[],
  brings: HouseAsked["brings"],
): Pick<DaySheet, "kits" | "missing" | "supplies" | "tools" | "gear"> {
  const all = <T>(of: (bring: Bring) => readonly T[]) =>
    tags.flatMap((tag) =>
      brings[tag] === undefined ? [] : of(brings[tag]).map((thing) => ({ tag, thing })),
    );
  const named = (of: (bring: Bring) => readonly string[]) =>
    together(all(of), (name) => name).map(({ thing, for: tagged }) => ({ name: thing, for: tagged }));
  return {
    kits: together(
      all(({ kits }) => kits),
      ({ name, place }) => `${name} ${place}`,
    ).map(({ thing: { name, place }, things, for: tagged }) => ({
      name,
      place,
      pieces: things.reduce((sum, { pieces }) => sum + pieces, 0),
      for: tagged,
    })),
    missing: named(({ missing }) => missing),
    supplies: named(({ supplies }) => supplies),
    tools: together(
      all(({ tools }) => tools),
      (tool) => JSON.stringify([tool.name, tool.size, tool.least_Nm, tool.most_Nm]),
    ).map(({ thing, for: tagged }) => ({ tool: thing, for: tagged })),
    gear: named(({ gear }) => gear),
  };
}

/** Like things as one, with all that they are for. */
function together<T>(
  some: readonly { readonly tag: string; readonly thing: T }[],
  keyOf: (thing: T) => string,
): { readonly thing: T; readonly things: readonly T[]; readonly for: readonly string[] }[] {
  const groups = new Map<string, { thing: T; things: T[]; for: string[] }>();
  for (const { tag, thing } of some) {
    const key = keyOf(thing);
    const group = groups.get(key) ?? { thing, things: [], for: [] };
    group.things.push(thing);
    if (!group.for.includes(tag)) group.for.push(tag);
    groups.set(key, group);
  }
  return [...groups.values()];
}

/** Locks that hang at a time at the most: each job hangs its own, also on what is shut once for several. */
function mostLocks(
  stops: readonly DayStop[],
  brings: HouseAsked["brings"],
  joint: readonly DayJoint[],
): number {
  const spans = stops.map((stop) => ({
    locks: joint.find(({ tags }) => tags.includes(stop.tag))?.locks ?? brings[stop.tag]?.locks ?? 0,
    ...outSpan(stop, stops),
  }));
  return Math.max(
    0,
    ...spans.map(({ from: at }) =>
      spans.reduce((sum, { locks, from, to }) => (from <= at && at < to ? sum + locks : sum), 0),
    ),
  );
}

/** From when to when it is shut off: with what is shut off with it, from the first of them to the last. */
function outSpan(stop: DayStop, stops: readonly DayStop[]): { readonly from: number; readonly to: number } {
  const all = stops.filter(({ tag }) => tag === stop.tag || stop.with.includes(tag));
  return {
    from: Math.min(...all.map(({ parts }) => parts[0]!.from)),
    to: Math.max(...all.map(({ parts }) => parts.at(-1)!.to)),
  };
}

/** Who is told where the line says so, and else all who go without: of what is shut off once, with the first of it. */
function toldOf(stop: DayStop, stops: readonly DayStop[], brings: HouseAsked["brings"]): DayTold[] {
  const members = stops.filter(({ tag }) => tag === stop.tag || stop.with.includes(tag));
  if (members[0]?.tag !== stop.tag) return [];
  const span = { ...outSpan(stop, stops), tags: members.map(({ tag }) => tag) };
  const tell = new Map(
    members.flatMap(({ tag }) => (brings[tag]?.tell ?? []).map((each) => [each.name, each])),
  );
  const others = [...new Set(members.flatMap(({ lost }) => lost))].filter((name) => !tell.has(name));
  return [
    ...[...tell.values()].map(({ name, ...who }) => ({
      names: [name],
      ...who,
      ...(who.days !== undefined && { by: span.from - who.days * DAY_MS }),
      ...span,
    })),
    ...(others.length > 0 ? [{ names: others, ...span }] : []),
  ];
}

/** What is shut off on a day by one isolation. */
export interface ShutDown {
  readonly tags: readonly string[];
  /** What is opened, by its names on the line. */
  readonly opens: readonly string[];
  readonly line: string;
  readonly name: string;
  readonly saves?: JointWork["saves"];
}

/** What is shut off on this day, in the order in which it is: what is shut off once, once. */
export function shutDownsOf({ stops, joint }: DaySheet): ShutDown[] {
  return stops.flatMap((stop): ShutDown[] => {
    const { tag, line, name } = stop;
    if (line === undefined || stop.opens === undefined) return [];
    const members = stops.filter((each) => each.tag === tag || stop.with.includes(each.tag));
    if (members[0]?.tag !== tag) return [];
    const saves = joint.find(({ tags }) => tags.includes(tag))?.saves;
    return [
      {
        tags: members.map((each) => each.tag),
        opens: [...new Set(members.flatMap(({ opens = [] }) => opens))],
        ...{ line, name },
        ...(saves && { saves }),
      },
    ];
  });
}
