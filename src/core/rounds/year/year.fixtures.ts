import { seeded } from "../../seeded";
import type { YearProblem, YearTask } from "./problem";

/** A district with works in it: the same for a seed. @param load of what the crews can do */
export function someYear(
  seed: number,
  {
    tasks = 60,
    crews = 2,
    weeks = 52,
    load = 0.6,
    areas = Math.max(2, Math.round(tasks / 20)),
  }: { tasks?: number; crews?: number; weeks?: number; load?: number; areas?: number } = {},
): YearProblem {
  const random = seeded(seed);
  const between = (low: number, high: number) => Math.round(low + random() * (high - low));
  const spots = Array.from({ length: areas }, () => ({ x: random() * 6, y: random() * 5 }));
  const bases = Array.from({ length: crews }, () => ({ x: random() * 6, y: random() * 5 }));
  const shutdowns = Array.from({ length: Math.ceil(tasks / 12) }, () => between(15, 40));
  const trips = bases.map((base) =>
    spots.map((spot) => Math.round(8 + 5 * Math.hypot(base.x - spot.x, base.y - spot.y))),
  );
  const sharedArea = shutdowns.map(() => between(0, areas - 1));
  const all = Array.from({ length: tasks }, (_, row): YearTask => {
    const due = between(0, weeks - 1);
    const weight = [1, 4, 20][between(0, 2)]!;
    const shutdown = random() < 0.2 ? between(0, shutdowns.length - 1) : undefined;
    const area = shutdown === undefined ? between(0, areas - 1) : sharedArea[shutdown]!;
    const able = bases.map((_, crew) => crew).filter(() => random() < 0.7);
    const nearest = (able.length > 0 ? able : [0])
      .sort((a, b) => trips[a]![area]! - trips[b]![area]!)
      .slice(0, 3);
    const [from, to] = [Math.max(0, due - 8), Math.min(weeks - 1, due + 4)];
    return {
      id: `T${row}`,
      area,
      minutes: Math.round(30 + random() * random() * 200),
      choices: Array.from({ length: to - from + 1 }, (_, at) => {
        const week = from + at;
        return { week, cost: week <= due ? (due - week) * 0.5 : (week - due) * weight * 7 };
      }),
      crews: nearest,
      leftOut: 1500,
      shutdown,
    };
  });
  const total = all.reduce((sum, { minutes }) => sum + minutes, 0) * 1.15;
  const week = Math.round(total / load / weeks / crews);
  return {
    weeks,
    areas,
    tasks: all,
    crews: bases.map((_, crew) => ({
      id: `C${crew}`,
      minutes: Array.from({ length: weeks }, () => week),
      overtime: Array.from({ length: weeks }, () => Math.round(week * 0.2)),
      trips: trips[crew]!,
      day: 420,
      // The second crew is slower.
      pace: crew === 1 ? 1.25 : 1,
    })),
    shutdowns,
    overtimePerMin: 0.5,
  };
}
