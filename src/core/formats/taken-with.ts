import { type Static, Type } from "@sinclair/typebox";
import { INSTRUMENT_KINDS } from "./instrument";
import { closed, Day, Id, Instant, oneOf, Typed, Words } from "./shared";
import { CHECK_DIMENSIONS } from "./sheet-check";

/** How an instrument is connected. A simulated instrument reads a model of the valve, and proves nothing on a real one. */
export const LINKS = ["simulated", "socket", "serial"] as const;

/** With what a figure was read: it came over by one touch, and nobody typed it. */
export const TakenWithSchema = Type.Object(
  {
    kind: oneOf(...INSTRUMENT_KINDS),
    name: Words,
    serial: Words,
    by: oneOf(...LINKS),
    at: { ...Instant, description: "When the instrument read it; corrected like `at` of the entry." },
    read: { ...Typed, description: "What it showed then, with its unit." },
    registered: Type.Optional({
      ...Id,
      description:
        "Which of the register's instruments it is, by its serial. This and its calibration are written by the server.",
    }),
    calibrated: Type.Optional(Day),
    until: Type.Optional({ ...Day, description: "On which day its calibration runs out." }),
  },
  { ...closed, description: "The instrument that a figure was read with, and when." },
);
export type TakenWith = Static<typeof TakenWithSchema>;

/** As many points as a trace is kept with: two a minute of a shift, or the peaks of what was read more often. */
export const MOST_POINTS = 480;

/** What an instrument showed over a time. */
export const TraceSchema = {
  dimension: oneOf(...CHECK_DIMENSIONS),
  from: { ...Instant, description: "When its first point was read." },
  every_s: Type.Number({
    exclusiveMinimum: 0,
    maximum: 3600,
    description: "s between two readings of the instrument: what is much longer apart is a gap.",
  }),
  points: Type.Array(
    Type.Array(Type.Number(), {
      minItems: 2,
      maxItems: 3,
      description:
        "s since the first; the reading, SI; the temperature of the section then, K, where it was read.",
    }),
    { minItems: 2, maxItems: MOST_POINTS },
  ),
};
