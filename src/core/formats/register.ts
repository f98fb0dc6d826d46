import { type Static, Type } from "@sinclair/typebox";
import { closed, DayOrInstant, Id, Latitude, Longitude, oneOf, Words } from "./shared";
import { CHECK_DIMENSIONS } from "./sheet";

/** One row of the register: a valve that stands somewhere and has a sheet. CSV columns bear these names. */
export const ValveSchema = Type.Object(
  {
    tag: Id,
    name: Words,
    place: Words,
    sheet: Id,
    line: Type.Optional(Id),
    node: Type.Optional(Id),
    serial: Type.Optional(Words),
    generation: Type.Optional(Words),
    build: Type.Optional(Id),
    installed: Type.Optional(DayOrInstant),
    serviced: Type.Optional(DayOrInstant),
    last: Type.Optional(
      Type.Record(Id, DayOrInstant, {
        description:
          "When each act that has an interval of its own was last done, by the interval: five=2022-04-26.",
        says: "Write each interval with its date, as five=2022-04-26 seals=2023-05-02.",
      }),
    ),
    dueSince: Type.Optional(
      Type.Record(Id, DayOrInstant, {
        description: "What is due at once, whatever its date, and since when: five=2026-11-02 after a lift.",
        says: "Write each interval with the day since when it is due, as five=2026-11-02.",
      }),
    ),
    shorter: Type.Optional(
      Type.Record(Id, Type.Number({ exclusiveMinimum: 0 }), {
        description:
          "Intervals that are shorter on this valve than on its sheet, in months: what was found says so. yearly=6.",
        says: "Write each interval with its months, as yearly=6.",
      }),
    ),
    recheck: Type.Optional(
      Type.Record(Id, DayOrInstant, {
        description: "What is looked at once more after a job, and from when on: warm=2026-11-30.",
        says: "Write each look with its day, as warm=2026-11-30.",
      }),
    ),
    fitted: Type.Optional(
      Type.Record(Id, oneOf("yes", "no"), {
        description: "Which options of its sheet this valve has, where that is known: meter=yes switch=no.",
        says: "Write each option with yes or no, as meter=yes switch=no.",
      }),
    ),
    served: Type.Optional(
      Type.Record(Id, Type.Integer({ minimum: 0 }), {
        description: "How often each part went back since it was new: stack=3.",
        says: "Write each part with how often it went back, as stack=3.",
      }),
    ),
    symptom: Type.Optional(Words),
    reported: Type.Optional(DayOrInstant),
    reportedBy: Type.Optional(Words),
    months: Type.Optional(
      Type.Record(Id, Type.Number({ exclusiveMinimum: 0, maximum: 600 }), {
        description:
          "Intervals that the site has set for this valve in place of those of its sheet, in months: yearly=6.",
        says: "Write each interval with its months, as yearly=6.",
      }),
    ),
    monthsWhy: Type.Optional(
      Type.String({
        minLength: 1,
        maxLength: 400,
        description: "Why the site has intervals of its own here, and on whose word.",
      }),
    ),
    set: Type.Optional(
      Type.Record(Type.String({ pattern: "^\\d{4}-\\d{2}-\\d{2}$" }), Words, {
        description:
          "Dates that an authority, an insurer or a contract has set for this valve, and for what: 2027-03-15=Insurer's test.",
        says: "Write each date with what is due then, as 2027-03-15=Insurer's test.",
        additionalProperties: false,
      }),
    ),
    lat: Type.Optional(Latitude),
    lon: Type.Optional(Longitude),
    note: Type.Optional(
      Type.String({ minLength: 1, maxLength: 2000, description: "What the next one has to know of it." }),
    ),
    formerly: Type.Optional(
      Type.String({
        pattern: Id.pattern!,
        maxLength: 60,
        description: "The tag it had before; its jobs and readings stand there.",
        says: "Write the tag it had before, as CB-T1.",
      }),
    ),
    retired: Type.Optional(DayOrInstant),
    retiredWhy: Type.Optional(Words),
  },
  {
    ...closed,
    $id: "loftbell.register-row.json",
    title: "Register row",
    description: "A registered valve, one CSV row.",
  },
);
export type Valve = Static<typeof ValveSchema>;

export const ReadingSchema = Type.Object(
  {
    tag: Id,
    at: DayOrInstant,
    what: Id,
    dimension: oneOf(...CHECK_DIMENSIONS),
    value: Type.Number({ description: "In the unit of the next column." }),
    unit: Type.Optional(Type.String({ description: "None of a bare number." })),
    by: Words,
  },
  {
    ...closed,
    $id: "loftbell.reading-row.json",
    title: "Reading row",
    description: "One reading of one valve, one CSV row.",
  },
);
export type ReadingRow = Static<typeof ReadingSchema>;
