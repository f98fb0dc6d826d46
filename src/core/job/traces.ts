import type { JobInputs } from "../formats";
import { judgeStanding, type StandingVerdict } from "../physics";
import type { Trace } from "./entered";
import { BAR } from "./progress";
import type { Step } from "./step";
import { WRENCH_BAND } from "./steps/tighten";

/** A time in which nothing was heard of the instrument, s since the first point. */
export interface Gap {
  readonly from_s: number;
  readonly to_s: number;
}

/** What a trace says, by the sum its card is about. */
export type TraceVerdict =
  /** A section that stands shut in. */
  | { readonly kind: "standing"; readonly says: StandingVerdict }
  /** A pressure, or another figure, over its time: from the mean of its beginning to the mean of its end, SI. */
  | { readonly kind: "over-time"; readonly first: number; readonly last: number; readonly perHour: number }
  /** One pull of a wrench: its highest. */
  | {
      readonly kind: "pull";
      readonly peak_Nm: number;
      readonly says: "short" | "within" | "beyond" | "over-its-limit";
    };

/** Standard air pressure; a gauge's zero moves with the weather by less than the bound that is judged with. */
const SURROUNDINGS_PA = 101_325;
/** Points this many times further apart than the instrument reads are a gap. */
const GAP = 4;
/** Places at which a long trace is looked at, each by the mean of what lies near it: a gauge's noise is no leak. */
const LOOKS = 5;
const NEAR = 0.06;

/** Times of which nothing is known. */
export const gapsOf = ({ points, every_s }: Pick<Trace, "points" | "every_s">): Gap[] => {
  // Of a trace that was thinned the points lie further apart than the instrument reads.
  const usual = Math.max(every_s, median(points.slice(1).map(([s], index) => s! - points[index]![0]!)));
  return points.flatMap(([s], index) => {
    const before = points[index - 1]?.[0];
    return before !== undefined && s! - before > GAP * usual ? [{ from_s: before, to_s: s! }] : [];
  });
};

const median = (all: readonly number[]): number =>
  all.toSorted((a, b) => a - b)[Math.floor(all.length / 2)] ?? 0;

/**
 * As many points as are kept: of each stretch its lowest and its highest, so that no peak is lost.
 *
 * @param most an even number
 */
export function thinned<P extends readonly number[]>(points: readonly P[], most: number): P[] {
  if (points.length <= most) return [...points];
  const inner = points.slice(1, -1);
  const each = inner.length / (most / 2 - 1);
  const kept = Array.from({ length: most / 2 - 1 }, (_, at) => {
    const stretch = inner.slice(Math.floor(at * each), Math.floor((at + 1) * each));
    const sorted = stretch.toSorted((a, b) => a[1]! - b[1]!);
    const [low, high] = [sorted[0]!, sorted.at(-1)!];
    return low[0]! <= high[0]! ? [low, high] : [high, low];
  });
  return [...new Set([points[0]!, ...kept.flat(), points.at(-1)!])];
}

/** A trace by the means of what lies near a few of its places: seconds, SI, K where it was read. */
export function looks(
  points: readonly (readonly number[])[],
): { seconds: number; value: number; kelvin?: number }[] {
  const end = points.at(-1)![0]!;
  const many = Math.min(LOOKS, points.length);
  return Array.from({ length: many }, (_, at) => {
    const place = many === 1 ? 0 : (end * at) / (many - 1);
    const near = points.filter(([s]) => Math.abs(s! - place) <= end * NEAR);
    const counted = near.length > 0 ? near : [nearest(points, place)];
    const warm = counted.flatMap((point) => point[2] ?? []);
    return {
      seconds: place,
      value: mean(counted.map((point) => point[1]!)),
      ...(warm.length > 0 && { kelvin: mean(warm) }),
    };
  });
}

const mean = (all: readonly number[]): number => all.reduce((sum, each) => sum + each, 0) / all.length;
const nearest = (points: readonly (readonly number[])[], place: number) =>
  points.reduce((best, each) => (Math.abs(each[0]! - place) < Math.abs(best[0]! - place) ? each : best));

/** What a trace says at its card. @returns nothing while there are fewer than two points */
export function judgeTrace(
  { points, dimension }: Trace,
  step: Step,
  { sheet }: Pick<JobInputs, "sheet">,
  pull?: { readonly wanted_Nm: number; readonly limit_Nm?: number },
): TraceVerdict | undefined {
  if (points.length < 2) return undefined;
  if (dimension === "torque" && step.kind === "tighten" && pull !== undefined) return judgePull(points, pull);
  const seen = looks(points);
  const [first, last] = [seen[0]!, seen.at(-1)!];
  if (dimension === "gauge pressure" && step.kind === "hold")
    return {
      kind: "standing",
      says: judgeStanding(
        seen.map(({ value, ...rest }) => ({ ...rest, gauge: value })),
        sheet.isolation.zero_bar * BAR,
        SURROUNDINGS_PA,
      ),
    };
  const hours = last.seconds / 3600;
  return {
    kind: "over-time",
    first: first.value,
    last: last.value,
    perHour: hours > 0 ? (last.value - first.value) / hours : 0,
  };
}

function judgePull(
  points: Trace["points"],
  { wanted_Nm, limit_Nm }: { readonly wanted_Nm: number; readonly limit_Nm?: number },
): TraceVerdict {
  const peak_Nm = Math.max(...points.map(([, value]) => value!));
  const says =
    limit_Nm !== undefined && peak_Nm > limit_Nm
      ? "over-its-limit"
      : peak_Nm < wanted_Nm * (1 - WRENCH_BAND)
        ? "short"
        : peak_Nm > wanted_Nm * (1 + WRENCH_BAND)
          ? "beyond"
          : "within";
  return { kind: "pull", peak_Nm, says };
}
