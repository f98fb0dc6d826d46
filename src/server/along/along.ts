import { CALCULATORS } from "@/core/calculators";
import { type Certificates, certificatesOf, type Valve } from "@/core/formats";
import { err, ok, type Problem, type Result } from "@/core/result";
import type { Services } from "../services";
import { ringingNow } from "../today/news";
import { today } from "../today/today";

/** What belongs together on a device that will be without signal. */
export interface Along {
  readonly title: string;
  /** Addresses of pages, the most needed first. */
  readonly pages: string[];
  /** What is found at an address, in words. */
  readonly names: Record<string, string>;
  readonly jobs: string[];
  readonly crew: Record<string, Certificates>;
  /** Valves that were left out. */
  readonly left: number;
}

/** Valves that are taken at once: each is four or five pages to be drawn and fetched. */
const MOST_VALVES = 60;
/** What is due later today and in the days after. */
const MOST_DUE = 12;

const at = (...parts: string[]): string => `/${parts.map(encodeURIComponent).join("/")}`;

export function along(
  services: Services,
  what: "day" | "valve" | "place" | "line" | "bench",
  id = "",
): Result<Along, Problem> {
  const { register, library } = services;
  const none = (kind: string) => err({ path: "/id", message: `There is no ${kind} "${id}".` });
  switch (what) {
    case "bench":
      return ok(
        bundled(services, "Bench book", [], ["/bench", ...CALCULATORS.map((each) => at("bench", each.id))]),
      );
    case "day":
      return ok(
        bundled(services, "My day", ofTheDay(services), ["/", "/jobs", "/trouble", "/store", "/store/count"]),
      );
    case "valve": {
      const valve = register.valve(id);
      return valve === undefined ? none("valve") : ok(bundled(services, `${id}, ${valve.name}`, [valve], []));
    }
    case "place": {
      const valves = register.atOrIn(id, MOST_VALVES + 1);
      return valves.length === 0
        ? none("place with valves in it,")
        : ok(bundled(services, id, valves, [at("places", id)]));
    }
    case "line": {
      const line = library.line(id);
      return line === undefined
        ? none("line")
        : ok(bundled(services, line.name, register.onLine(id), [at("lines", id)]));
    }
  }
}

/** Valves with an open job, then those that are due, the nearest first. */
function ofTheDay(services: Services): Valve[] {
  const { cards, due } = today(services, ringingNow(services));
  const tags = [
    ...cards.map(({ bell }) => bell.valve),
    ...[...due.now, ...due.later].slice(0, MOST_DUE).map(({ bell }) => bell.valve),
  ];
  return [...new Set(tags)].flatMap((tag) => services.register.valve(tag) ?? []);
}

function bundled(
  services: Services,
  title: string,
  valves: readonly Valve[],
  first: readonly string[],
): Along {
  const taken = valves.slice(0, MOST_VALVES);
  const open = new Map(
    taken.flatMap(({ tag }) => {
      const job = services.summaries.openOfValve(tag)?.job;
      return job === undefined ? [] : [[tag, job] as const];
    }),
  );
  return {
    title,
    pages: [
      ...new Set([
        ...first,
        ...taken.flatMap((valve) => [
          at("valves", valve.tag),
          // A valve on which somebody works is gone on with, not begun anew.
          ...(open.has(valve.tag) ? [] : [`${at("valves", valve.tag)}/start`]),
          `${at("valves", valve.tag)}/trouble`,
        ]),
        ...taken.flatMap(({ line }) => (line === undefined ? [] : [at("lines", line)])),
        ...taken.map(({ sheet }) => at("sheets", sheet)),
      ]),
    ],
    names: namesOf(services, taken),
    jobs: [...open.values()],
    crew: Object.fromEntries(services.library.crew().map((person) => [person.name, certificatesOf(person)])),
    left: valves.length - taken.length,
  };
}

/** Valves, their lines and their sheets, by address. */
function namesOf({ library }: Services, valves: readonly Valve[]): Record<string, string> {
  const names: Record<string, string> = {};
  for (const { tag, name, place, line, sheet } of valves) {
    names[at("valves", tag)] = `${name}, ${place}`;
    names[at("sheets", sheet)] ??= library.sheet(sheet)?.title ?? sheet;
    if (line !== undefined) names[at("lines", line)] ??= library.line(line)?.name ?? line;
  }
  return names;
}
