import ical, { ICalAlarmType, type ICalCalendar } from "ical-generator";
import { runningOut } from "@/core/rounds";
import { AT_ONCE } from "@/data";
import { bellWords, speaker } from "@/words";
import type { Services } from "../services";

const DAY_MS = 86_400_000;
/** A calendar that reaches further than anybody plans is not read. */
const MOST_DUE = 5000;

export interface CalendarAsk {
  /** Only what stands at this place, or in one of its rooms. */
  readonly place?: string;
  /** How far it reaches. */
  readonly days?: number;
}

interface Entry {
  /** Stays the same as long as it is the same thing that rings. */
  readonly id: string;
  readonly at: number;
  readonly allDay: boolean;
  readonly summary: string;
  readonly says: string;
  readonly where?: string;
  /** Its page. */
  readonly href: string;
}

/** What rings, for the calendar of a phone: valves that are due, waits of open jobs, proofs and calibrations that end. */
export function calendarOf(
  services: Services,
  { place, days = 400 }: CalendarAsk,
  address: string,
): ICalCalendar {
  const house = services.things.one("house", "house")?.name;
  const calendar = ical({
    name: ["Loft Bell", house, place].filter(Boolean).join(", "),
    prodId: { company: "Loft Bell", product: "Loft Bell", language: "EN" },
    ttl: 3600,
  });
  for (const { id, at, allDay, summary, says, where, href } of entriesOf(services, place, days)) {
    const event = calendar.createEvent({
      id: `${id}@loftbell`,
      start: new Date(at),
      allDay,
      summary,
      description: says,
      ...(where !== undefined && { location: where }),
      url: `${address}${href}`,
    });
    event.createAlarm({ type: ICalAlarmType.display, trigger: 0, description: summary });
  }
  return calendar;
}

function entriesOf(services: Services, place: string | undefined, days: number): Entry[] {
  const { register, summaries, library, things, now } = services;
  const until = now() + days * DAY_MS;
  const at = (where: string) => place === undefined || where === place || where.startsWith(`${place},`);
  const due = register.dueNext(MOST_DUE).flatMap(({ tag, at: rings, what, why, symptom }): Entry[] => {
    const valve = register.valve(tag);
    if (valve === undefined || rings > until || !at(valve.place)) return [];
    return [
      {
        id: `due-${tag}`,
        // What is due at once is due today, whenever one looks.
        at: rings === AT_ONCE ? now() : rings,
        allDay: true,
        summary: `${tag}: ${symptom ?? what}`,
        says: [valve.name, why, rings < now() ? "Late." : ""].filter(Boolean).join("\n"),
        where: valve.place,
        href: `/valves/${encodeURIComponent(tag)}`,
      },
    ];
  });
  const jobs = summaries.openBells().flatMap((bell): Entry[] => {
    const where = register.anyValve(bell.valve)?.place ?? "";
    if (!at(where) || bell.kind === "at-work") return [];
    const { title, says } = bellWords(speaker(), bell);
    return [
      {
        id: `job-${bell.id}`.replaceAll(/\s+/g, "-"),
        at: bell.at,
        allDay: false,
        summary: `${bell.valve}: ${title}`,
        says,
        where,
        href:
          bell.job === undefined
            ? `/valves/${encodeURIComponent(bell.valve)}`
            : `/jobs/${encodeURIComponent(bell.job)}`,
      },
    ];
  });
  const cases = things.casesDue(MOST_DUE).flatMap((each): Entry[] => {
    const valve = register.valve(each.valve);
    const rings = Date.parse(each.due!);
    if (valve === undefined || rings > until || !at(valve.place)) return [];
    return [
      {
        id: `case-${each.id}`,
        at: rings,
        allDay: true,
        summary: `${each.valve}: ${each.ended}`,
        says: [`“${each.says}”`, each.to ?? "", rings < now() ? "Late." : ""].filter(Boolean).join("\n"),
        where: valve.place,
        href: `/valves/${encodeURIComponent(each.valve)}`,
      },
    ];
  });
  if (place !== undefined) return [...due, ...jobs, ...cases];
  const ends = runningOut(library.crew(), things.all("instrument"), library.stores(), until).flatMap(
    (each): Entry[] =>
      each.at === undefined
        ? []
        : [
            {
              id: `ends-${each.kind}-${each.id}-${each.kind === "competence" ? each.what : ""}`.replaceAll(
                /\s+/g,
                "-",
              ),
              at: each.at,
              allDay: true,
              summary: `${each.name}: ${ENDS[each.kind].says}`,
              says: each.kind === "competence" ? each.what : each.id,
              href: ENDS[each.kind].href,
            },
          ],
  );
  return [...due, ...jobs, ...cases, ...ends];
}

const ENDS = {
  competence: { says: "competence ends", href: "/crew" },
  calibration: { says: "calibration ends", href: "/instruments" },
  "shelf-life": { says: "may not be used any more", href: "/store?show=aging" },
} as const;
