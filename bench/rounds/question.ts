import type { RoundsQuestion, RoundsTask } from "@/core/formats";
import { seeded } from "@/core/seeded";

const MONDAY = Date.UTC(2026, 0, 5);
const DAY_MS = 86_400_000;
const iso = (ms: number) => new Date(ms).toISOString();

/** A district of valves that ring once within so many weeks, and its crews; the same for a seed. */
export function district(seed: number, valves: number, crews: number, weeks: number): RoundsQuestion {
  const random = seeded(seed);
  const between = (low: number, high: number) => Math.round(low + random() * (high - low));
  const areas = Math.max(3, Math.round(valves / 30));
  const middles = Array.from({ length: areas }, () => ({
    lat: 57 + random() * 0.08,
    lon: 2 + random() * 0.14,
  }));
  const spots = middles.flatMap(({ lat, lon }, area) =>
    Array.from({ length: 6 }, (_, spot) => ({
      id: `P${area}.${spot}`,
      lat: lat + (random() - 0.5) * 0.008,
      lon: lon + (random() - 0.5) * 0.014,
      area: `A${area}`,
    })),
  );
  const bases = Array.from({ length: crews }, (_, crew) => ({
    id: `B${crew}`,
    lat: 57 + random() * 0.08,
    lon: 2 + random() * 0.14,
  }));
  const tasks = Array.from({ length: valves }, (_, row): RoundsTask => {
    const area = between(0, areas - 1);
    const due = MONDAY + between(0, 7 * weeks - 1) * DAY_MS + 16 * 3_600_000;
    const from = Math.max(MONDAY, due - 56 * DAY_MS);
    const hydrant = random() < 0.4;
    const soaks = random() < 0.2;
    return {
      id: `V${row}`,
      place: `P${area}.${between(0, 5)}`,
      stretches: soaks
        ? [
            { work_min: between(15, 40), wait_min: between(30, 60), wait_most_min: 150 },
            { work_min: between(10, 30) },
          ]
        : [{ work_min: between(20, 110) }],
      windows: [{ from: iso(from), to: iso(due + 28 * DAY_MS) }],
      due: iso(due),
      late_per_day: [10, 45, 60][between(0, 2)]!,
      early_per_day: 0.5,
      left_out: 4000,
      outage_per_min: random() < 0.4 ? 0.1 : 0,
      ...(hydrant && { shutdown: `A${area}.${between(0, 4)}`, out: [`fire protection A${area}`] }),
      ...(random() < 0.15 && { needs: ["gas"] }),
    };
  });
  const shifts = Array.from({ length: weeks * 7 }, (_, day) => day)
    .filter((day) => day % 7 < 5)
    .map((day) => ({
      from: iso(MONDAY + day * DAY_MS + 8 * 3_600_000),
      to: iso(MONDAY + day * DAY_MS + 16 * 3_600_000),
    }));
  // As many hours as the work wants and half as many again: the rest of the week the crews do something else.
  const hours =
    tasks.reduce((sum, task) => sum + task.stretches.reduce((all, { work_min }) => all + work_min, 0), 0) /
    60;
  const days = Math.min(5, Math.max(1, Math.ceil((2 * hours) / (8 * weeks * crews))));
  return {
    places: [...spots, ...bases],
    tasks,
    crews: bases.map(({ id: base }, crew) => ({
      id: `C${crew}`,
      base,
      people: 2,
      skills: crew % 2 === 0 ? ["gas"] : [],
      shifts: shifts.filter((_, day) => (day + crew) % 5 < days),
      overtime_min: 60,
    })),
    shutdowns: middles.flatMap((_, area) =>
      Array.from({ length: 5 }, (_section, section) => ({
        id: `A${area}.${section}`,
        shut_min: 12,
        restore_min: 10,
      })),
    ),
    seed,
  };
}
