import { type Static, Type } from "@sinclair/typebox";
import { closed, Instant, Latitude, Longitude } from "./shared";

const Key = Type.String({ minLength: 1, maxLength: 100 });
const Keys = Type.Array(Key, { maxItems: 50 });
const DayMinutes = Type.Number({ minimum: 0, maximum: 1440 });
const Amount = Type.Number({ minimum: 0, maximum: 1_000_000 });

const Span = Type.Object({ from: Instant, to: Instant }, closed);

const Place = Type.Object(
  {
    id: Key,
    lat: Type.Optional(Latitude),
    lon: Type.Optional(Longitude),
    area: Type.Optional({ ...Key, description: "One trip a day does all of it. Itself when absent." }),
  },
  closed,
);

const Stretch = Type.Object(
  {
    work_min: { ...DayMinutes, description: "Hands-on." },
    wait_min: Type.Optional({
      ...DayMinutes,
      description: "How long it must stand before the next stretch; nobody has to stay.",
    }),
    wait_most_min: Type.Optional({
      ...DayMinutes,
      description: "How long it may stand. As long as it likes when absent.",
    }),
  },
  closed,
);

const Task = Type.Object(
  {
    id: Key,
    place: Key,
    stretches: Type.Array(Stretch, {
      minItems: 1,
      maxItems: 6,
      description: "One crew does them all, in this order.",
    }),
    windows: Type.Optional(
      Type.Array(Span, { minItems: 1, maxItems: 400, description: "All of it lies in one of them." }),
    ),
    due: Type.Optional(Instant),
    late_per_day: Type.Optional({
      ...Amount,
      description: "What each day after `due` costs. 30 when absent.",
    }),
    early_per_day: Type.Optional({
      ...Amount,
      description: "What each day before `due` costs: an interval is cut short. 0.2 when absent.",
    }),
    left_out: Type.Optional({
      ...Amount,
      description: "What it costs to leave it undone. 1000 when absent.",
    }),
    outage_per_min: Type.Optional({
      ...Amount,
      description:
        "What each minute costs its users from its first stretch to the end of its last. 0 when absent.",
    }),
    shutdown: Type.Optional({
      ...Key,
      description: "Section that is shut for it: once for all who need it.",
    }),
    out: Type.Optional({
      ...Keys,
      maxItems: 500,
      description:
        "What is out while this is. Two that name the same are never out at a time, but in one shut-down.",
    }),
    needs: Type.Optional({ ...Keys, description: "Competences that one of the crew must have." }),
    people: Type.Optional(Type.Integer({ minimum: 1, maximum: 20 })),
    keep: Type.Optional(
      Type.Object(
        { crew: Key, from: Instant, exactly: Type.Optional(Type.Boolean()) },
        {
          ...closed,
          description:
            "Published, fixed or begun: it stays with this crew on the day of `from`, and begins then when `exactly`.",
        },
      ),
    ),
  },
  closed,
);

/** Where one of the crew is away that day, it has fewer people and competences then. */
const ShiftSpan = Type.Object(
  {
    from: Instant,
    to: Instant,
    start: Type.Optional({ ...Key, description: "Where it begins when that is not the base." }),
    people: Type.Optional(Type.Integer({ minimum: 1, maximum: 20 })),
    skills: Type.Optional(Keys),
  },
  closed,
);

const Crew = Type.Object(
  {
    id: Key,
    base: Key,
    people: Type.Optional(Type.Integer({ minimum: 1, maximum: 20 })),
    skills: Type.Optional(Keys),
    shifts: Type.Array(ShiftSpan, { maxItems: 400 }),
    overtime_min: Type.Optional({ ...DayMinutes, description: "At the most, of each shift. 0 when absent." }),
    pace: Type.Optional(
      Type.Number({
        minimum: 0.25,
        maximum: 4,
        description: "How long its hands-on work takes, times what the tasks state. 1 when absent.",
      }),
    ),
  },
  closed,
);

const table = (description: string) =>
  Type.Array(Type.Array(Type.Number({ minimum: 0, maximum: 10_000 }), { maxItems: 2000 }), {
    maxItems: 2000,
    description,
  });

const Travel = Type.Object(
  {
    minutes: Type.Optional(
      table("From row to column, in the order of `places`; worked out from coordinates when absent."),
    ),
    km: Type.Optional(table("The same in kilometres.")),
    km_per_h: Type.Optional(Type.Number({ minimum: 1, maximum: 200, description: "25 when absent." })),
    detour: Type.Optional(
      Type.Number({ minimum: 1, maximum: 5, description: "Roads against the crow's way. 1.3 when absent." }),
    ),
    stop_min: Type.Optional({
      ...DayMinutes,
      description: "To park and unload at another place. 3 when absent.",
    }),
  },
  closed,
);

const asked = (mostTasks: number, mostSeconds: number) =>
  Type.Object(
    {
      places: Type.Array(Place, { maxItems: 2000 }),
      tasks: Type.Array(Task, { maxItems: mostTasks }),
      crews: Type.Array(Crew, { maxItems: 50 }),
      shutdowns: Type.Optional(
        Type.Array(Type.Object({ id: Key, shut_min: DayMinutes, restore_min: DayMinutes }, closed), {
          maxItems: 2000,
        }),
      ),
      travel: Type.Optional(Travel),
      prices: Type.Optional(
        Type.Object(
          {
            overtime_per_min: Type.Optional({
              ...Amount,
              description: "Above its own minute. 0.5 when absent.",
            }),
            per_km: Type.Optional({ ...Amount, description: "In minutes of a crew. 1 when absent." }),
          },
          closed,
        ),
      ),
      week_from: Type.Optional({
        ...Instant,
        description: "When some week begins, for places where that is not Monday 00:00 UTC.",
      }),
      seed: Type.Optional(Type.Integer({ minimum: 0, maximum: 1_000_000 })),
      seconds: Type.Optional(
        Type.Integer({
          minimum: 1,
          maximum: mostSeconds,
          description: "How long to look for better on a usual machine: so many steps.",
        }),
      ),
    },
    closed,
  );

/** Who does what when, within some days. Costs are in minutes of a crew. */
export const ROUNDS_DAY_QUESTION = asked(200, 60);
/** Who does what in which week of a year, and when in the week. */
export const ROUNDS_PLAN_QUESTION = asked(5000, 300);

export type RoundsQuestion = Static<typeof ROUNDS_PLAN_QUESTION>;
export type RoundsTask = RoundsQuestion["tasks"][number];
