import { Type } from "@sinclair/typebox";
import { closed, Id, titled, Words } from "./shared";

const MonthDay = Type.String({
  pattern: "^(0[1-9]|1[0-2])-(0[1-9]|[12]\\d|3[01])$",
  says: "Write month and day, as 05-01.",
});

const Season = Type.Object(
  { from: titled("First day, month-day", MonthDay), to: titled("Last day, month-day", MonthDay), why: Words },
  {
    ...closed,
    title: "Only in this season",
    description:
      "It is done between these days of the year alone: what is due out of them rings before the season ends. One that ends before it begins goes over the new year.",
  },
);

const Counts = Type.Object(
  {
    what: titled("Counter", Id),
    every: titled("Every", Type.Number({ exclusiveMinimum: 0 })),
  },
  {
    ...closed,
    title: "Or by a counter",
    description:
      "It is due after so many turns, cycles, starts or litres, too, whichever is first: by readings of this name.",
  },
);

/** When it rings. One that names an act counts from that act alone; any other from the last service. */
export const IntervalSchema = Type.Object(
  {
    id: Id,
    every_months: Type.Number({ exclusiveMinimum: 0 }),
    what: Words,
    source: Words,
    renews: Type.Optional(
      Type.Array(Id, {
        title: "Done when renewed",
        description: "It counts from when these parts went in new.",
      }),
    ),
    opens: Type.Optional(
      Type.Array(Id, {
        title: "Done when off",
        description: "It counts from when these parts were off and seen.",
      }),
    ),
    does: Type.Optional(
      Type.Array(Id, { title: "Done with these tasks", description: "It counts from when these were done." }),
    ),
    season: Type.Optional(Season),
    counts: Type.Optional(Counts),
    atOnceAfter: Type.Optional(
      Type.Array(Id, { title: "Due at once after", description: "Complaints that make it due at once." }),
    ),
  },
  closed,
);

/** A look that is due some days after a job: what packs, warms or fills shows only then. */
export const RecheckSchema = Type.Object(
  {
    id: Id,
    after_days: Type.Number({ exclusiveMinimum: 0, maximum: 3650 }),
    what: Words,
    why: Words,
    afterFit: Type.Optional(
      Type.Array(Id, {
        title: "After these were in",
        description: "Only where one of these parts was put in; after every job when absent.",
        minItems: 1,
      }),
    ),
  },
  closed,
);
