import ical, { ICalAlarmType, type ICalCalendar } from "ical-generator";
import type { RoundsWeek } from "@/core/formats";
import type { Services } from "../services";

/** Valves that ring, at the most, of which it is known what is due. */
const MOST_DUE = 5000;
/** Before it begins one is to set out. s */
const ALARM_S = 30 * 60;

/** Whose rounds, or where; all when nothing is asked. */
export interface RoundsCalendarAsk {
  readonly crew?: string;
  /** By id or name: the rounds of the crew that this one goes out with. */
  readonly person?: string;
  /** Only what stands at this place, or in one of its rooms. */
  readonly place?: string;
}

interface Told {
  readonly task: string;
  readonly crew: string;
  readonly from: number;
  readonly to: number;
  readonly published: string;
}

/**
 * What people were told of the rounds, for the calendar of a phone. An entry stays the same for a valve: what is published
 * at another time moves, it does not stand twice.
 */
export function roundsCalendar(services: Services, ask: RoundsCalendarAsk, address: string): ICalCalendar {
  const { register, things } = services;
  const house = things.one("house", "house");
  const calendar = ical({
    name: ["Loft Bell rounds", house?.name, ask.crew ?? ask.person, ask.place].filter(Boolean).join(", "),
    prodId: { company: "Loft Bell", product: "Loft Bell", language: "EN" },
    ttl: 3600,
  });
  const crews = crewsAsked(services, ask);
  const due = new Map(register.dueNext(MOST_DUE).map((each) => [each.tag, each]));
  for (const { task, crew, from, to, published } of told(things.all("rounds"))) {
    const valve = register.anyValve(task);
    if (valve === undefined || (crews !== undefined && !crews.has(crew))) continue;
    if (ask.place !== undefined && valve.place !== ask.place && !valve.place.startsWith(`${ask.place},`))
      continue;
    const what = due.get(task);
    const summary = `${task}: ${what?.symptom ?? what?.what ?? valve.name}`;
    const event = calendar.createEvent({
      id: `rounds-${task}@loftbell`,
      start: new Date(from),
      end: new Date(to),
      lastModified: new Date(published),
      summary,
      description: [valve.name, what?.why, crew].filter(Boolean).join("\n"),
      location: valve.place,
      url: `${address}/valves/${encodeURIComponent(task)}`,
    });
    event.createAlarm({ type: ICalAlarmType.display, triggerBefore: ALARM_S, description: summary });
  }
  return calendar;
}

/** Of each valve what people were told last. */
function told(weeks: readonly RoundsWeek[]): Iterable<Told> {
  const last = new Map<string, Told>();
  for (const { published } of weeks) {
    if (published === undefined) continue;
    for (const { crew, visits } of published.shifts) {
      const spans = new Map<string, { from: number; to: number }>();
      for (const { task, from, to } of visits) {
        const span = spans.get(task);
        spans.set(task, { from: span?.from ?? Date.parse(from), to: Date.parse(to) });
      }
      for (const [task, span] of spans) {
        const before = last.get(task);
        if (before === undefined || before.published <= published.at)
          last.set(task, { task, crew, ...span, published: published.at });
      }
    }
  }
  return last.values();
}

/** Names of the crews that are meant; nothing when all are. */
function crewsAsked({ things, library }: Services, { crew, person }: RoundsCalendarAsk) {
  if (crew === undefined && person === undefined) return undefined;
  const ids = new Set(
    library.people().flatMap(({ id, name }) => (id === person || name === person ? [id] : [])),
  );
  const own = (things.one("house", "house")?.crews ?? []).filter(
    ({ name, people }) => name === crew || people.some((id) => ids.has(id)),
  );
  return new Set(own.map(({ name }) => name));
}
