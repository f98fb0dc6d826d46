import type { Line, Medium } from "../formats";

/** Where the valve stands on it. */
export const STANDARD_AT = "here";

const PRESSURE_BAR: Partial<Record<Medium, number>> = {
  water: 4,
  steam: 2,
  gas: 0.03,
  ammonia: 3,
  co2: 30,
  air: 6,
};

/**
 * The line that a valve stands on where none is drawn: a source, a main stop, something else that is fed, a stop of its
 * own, and its electricity. Enough to tell a shut stop from a dead main.
 */
export function standardLine(medium: Medium): Line {
  const node = (
    id: string,
    kind: Line["nodes"][number]["kind"],
    more: Partial<Line["nodes"][number]> = {},
  ) => ({
    id,
    kind,
    elevation_m: 0,
    ...more,
  });
  const stop = (id: string, from: string, to: string) => ({
    kind: "valve" as const,
    id,
    from,
    to,
    normally: "open" as const,
    operable: true,
    lockable: true,
    access_min: 3,
  });
  const pipe = (id: string, from: string, to: string) => ({
    kind: "pipe" as const,
    id,
    from,
    to,
    dn_mm: 25,
    length_m: 5,
  });
  return {
    format: "loftbell.line",
    version: 1,
    id: "standard",
    name: "Standard",
    medium,
    rule: "single",
    nodes: [
      node("source", "source", { pressure_bar: PRESSURE_BAR[medium] ?? 3 }),
      node("main", "junction"),
      node("tee", "junction"),
      node("beside", "consumer"),
      node(STANDARD_AT, "junction", { asset: STANDARD_AT, with: ["feed"] }),
      node("user", "consumer"),
      node("mains", "source", { medium: "electricity" }),
      node("feed", "consumer", { medium: "electricity" }),
    ],
    links: [
      pipe("p1", "source", "main"),
      stop("main-stop", "main", "tee"),
      pipe("p2", "tee", "beside"),
      stop("own-stop", "tee", STANDARD_AT),
      pipe("p3", STANDARD_AT, "user"),
      { ...stop("switch", "mains", "feed"), type: "switch", medium: "electricity" },
    ],
  };
}
