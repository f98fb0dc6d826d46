import type { HouseRounds } from "@/core/due-work";

const DAY_MS = 86_400_000;
const HOUR_MS = 3_600_000;

/** What one crew does of one valve on one day, its stretches with what lies between them. */
export interface Block {
  readonly tag: string;
  /** ms. */
  readonly parts: readonly { readonly from: number; readonly to: number; readonly stretch: number }[];
  /** How many stretches it has in all. */
  readonly of: number;
  readonly lateMin: number;
  /** Beside others whose waits it fills, or whose it is filled by: which of so many lanes. */
  readonly lane: number;
  readonly lanes: number;
}

export interface CrewDay {
  readonly from: number;
  readonly to: number;
  readonly back: number;
  readonly km: number;
  readonly driveMin: number;
  readonly blocks: readonly Block[];
}

export interface Week {
  /** Midnights of its days. */
  readonly days: readonly number[];
  /** Of each crew, its days. */
  readonly crews: readonly { readonly id: string; readonly days: readonly (CrewDay | undefined)[] }[];
  readonly jobs: number;
  readonly late: number;
  readonly km: number;
  /** Hours of the day that are drawn. */
  readonly hours: { readonly first: number; readonly last: number };
}

type Shift = HouseRounds["shifts"][number];

/** A week of the plan as it is drawn. @param from its midnight, ms */
export function weekOf({ shifts, crews }: HouseRounds, from: number): Week {
  const midnights = Array.from({ length: 7 }, (_, day) => {
    const date = new Date(from);
    date.setDate(date.getDate() + day);
    return date.getTime();
  });
  const inWeek = shifts.filter((shift) => {
    const at = Date.parse(shift.from);
    return at >= from && at < midnights[6]! + DAY_MS;
  });
  const worked = (midnight: number) =>
    inWeek.some((shift) => new Date(Date.parse(shift.from)).setHours(0, 0, 0, 0) === midnight);
  // A weekend is drawn where somebody works on it.
  const days = midnights.filter((midnight, day) => day < 5 || worked(midnight));
  const byCrew = crews.map(({ id }) => ({
    id,
    days: days.map((midnight) => {
      const shift = inWeek.find(
        (each) => each.crew === id && new Date(Date.parse(each.from)).setHours(0, 0, 0, 0) === midnight,
      );
      return shift && crewDay(shift);
    }),
  }));
  const all = byCrew.flatMap((crew) => crew.days.flatMap((day) => day ?? []));
  const blocks = all.flatMap((day) => day.blocks);
  const hourOf = (ms: number) => (ms - new Date(ms).setHours(0, 0, 0, 0)) / HOUR_MS;
  return {
    days,
    crews: byCrew,
    jobs: blocks.length,
    late: blocks.filter(({ lateMin }) => lateMin > 0).length,
    km: all.reduce((sum, { km }) => sum + km, 0),
    hours: {
      first: Math.floor(Math.min(8, ...all.map((day) => hourOf(day.from)))),
      last: Math.ceil(Math.max(16, ...all.map((day) => hourOf(Math.max(day.to, day.back))))),
    },
  };
}

export function crewDay(shift: Shift): CrewDay {
  const byTag = new Map<string, { parts: Block["parts"][number][]; of: number; lateMin: number }>();
  for (const { task, stretch, of, from, to, late_min = 0 } of shift.visits) {
    const block = byTag.get(task) ?? { parts: [], of, lateMin: 0 };
    block.parts.push({ from: Date.parse(from), to: Date.parse(to), stretch });
    block.lateMin = Math.max(block.lateMin, late_min);
    byTag.set(task, block);
  }
  return {
    from: Date.parse(shift.from),
    to: Date.parse(shift.to),
    back: Date.parse(shift.back),
    km: shift.km,
    driveMin: shift.drive_min,
    blocks: inLanes([...byTag].map(([tag, block]) => ({ tag, ...block }))),
  };
}

/** A shorter block is drawn as long as this: its tag is to be read. ms */
export const LEAST_DRAWN_MS = 0.65 * HOUR_MS;

/** What fills another's wait stands beside it, and so does what would be drawn over it; the rest has the whole width. */
export function inLanes(blocks: readonly Omit<Block, "lane" | "lanes">[]): Block[] {
  const placed: Block[] = [];
  let [cluster, ends]: [Omit<Block, "lanes">[], number[]] = [[], []];
  const close = () => {
    placed.push(...cluster.map((block) => ({ ...block, lanes: ends.length })));
    [cluster, ends] = [[], []];
  };
  for (const block of blocks) {
    const { from } = block.parts[0]!;
    if (ends.every((end) => end <= from)) close();
    const free = ends.findIndex((end) => end <= from);
    const lane = free === -1 ? ends.length : free;
    ends[lane] = Math.max(block.parts.at(-1)!.to, from + LEAST_DRAWN_MS);
    cluster.push({ ...block, lane });
  }
  close();
  return placed;
}

/** The page of one crew's day. */
export const dayHref = (crew: string, day: number): string =>
  `/rounds/day?${new URLSearchParams({ crew, day: new Date(day).toISOString() })}`;
