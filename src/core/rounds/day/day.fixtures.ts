import fc from "fast-check";
import { seeded } from "../../seeded";
import type { DayProblem, Stretch, Task } from "./problem";

/** A place some km across with works in it: the same for a seed. */
export function someDay(
  seed: number,
  {
    tasks = 5,
    crews = 1,
    waits = 0.3,
    days = 1,
    exclusions = 0.2,
    underWay = false,
    paces = [1],
  }: {
    tasks?: number;
    crews?: number;
    waits?: number;
    days?: number;
    exclusions?: number;
    /** The crews are at some work already when their first day begins. */
    underWay?: boolean;
    /** Of the crews in turn. */
    paces?: readonly number[];
  } = {},
): DayProblem {
  const random = seeded(seed);
  const between = (low: number, high: number) => Math.round(low + random() * (high - low));
  const spots = Array.from({ length: tasks + crews }, () => ({ x: random() * 4, y: random() * 3 }));
  const km = spots.map((a) => spots.map((b) => Math.hypot(a.x - b.x, a.y - b.y) * 1.3));
  const minutes = km.map((row) => row.map((far) => Math.ceil(far * 3) + (far > 0 ? 2 : 0)));
  for (const via of minutes.keys())
    for (const from of minutes.keys())
      for (const to of minutes.keys())
        minutes[from]![to] = Math.min(minutes[from]![to]!, minutes[from]![via]! + minutes[via]![to]!);
  const stretches = (): Stretch[] => {
    if (random() >= waits) return [{ work: between(15, 80), wait: 0, waitMost: 0 }];
    const wait = between(20, 60);
    return [
      {
        work: between(10, 30),
        wait,
        waitMost: random() < 0.5 ? Number.POSITIVE_INFINITY : wait + between(10, 60),
      },
      { work: between(10, 40), wait: 0, waitMost: 0 },
    ];
  };
  const task = (_: unknown, row: number): Task => {
    const from = random() < 0.3 ? between(480, 720) : 0;
    return {
      id: `T${row}`,
      place: crews + row,
      stretches: stretches(),
      windows: [{ from, to: from > 0 ? from + between(150, 300) : 1440 * days }],
      due: random() < 0.3 ? between(600, 900) : Number.POSITIVE_INFINITY,
      latePerMin: 0.5,
      leftOut: between(200, 600),
      outagePerMin: random() < 0.3 ? 0.2 : 0,
      shutdown: random() < 0.3 ? 0 : undefined,
      out: random() < exclusions ? [`zone ${between(1, 2)}`] : [],
      needs: random() < 0.2 ? ["gas"] : [],
      people: 1,
    };
  };
  return {
    tasks: Array.from({ length: tasks }, task),
    shutdowns: [{ shut: 12, restore: 8 }],
    shifts: Array.from({ length: crews * days }, (_, row) => ({
      id: `S${row}`,
      crew: `C${row % crews}`,
      start: underWay && row < crews ? crews + ((seed + row) % tasks) : row % crews,
      base: row % crews,
      from: 480 + 1440 * Math.floor(row / crews),
      to: 960 + 1440 * Math.floor(row / crews),
      latest: 1020 + 1440 * Math.floor(row / crews),
      people: 2,
      skills: row % crews === 0 ? ["gas"] : [],
      pace: paces[(row % crews) % paces.length]!,
    })),
    minutes,
    km,
    prices: { overtimePerMin: 0.5, perKm: 1 },
  };
}

/** Days of every kind, for properties. */
export const anyDay = fc
  .record({
    seed: fc.integer({ min: 1, max: 1e6 }),
    tasks: fc.integer({ min: 1, max: 9 }),
    crews: fc.integer({ min: 1, max: 3 }),
    days: fc.integer({ min: 1, max: 2 }),
    underWay: fc.boolean(),
    paces: fc.constantFrom([1], [0.8, 1.4]),
  })
  .map(({ seed, ...size }) => someDay(seed, { ...size, waits: 0.5, exclusions: 0.5 }));
