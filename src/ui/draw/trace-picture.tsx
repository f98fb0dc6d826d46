import type { Gap, Trace } from "@/core/job";

const W = 400;
const H = 190;
const LEFT = 84;
const RIGHT = 14;
const TOP = 12;
const BOTTOM = 28;

/** Finer than this nobody sees. */
const tenth = (at: number): number => Math.round(at * 10) / 10;

/** What an instrument showed over its time: the line, the bound it is judged by, and what nobody heard as a hatched gap. */
export function TracePicture({
  trace,
  gaps,
  until_s,
  bound,
  band,
  figure,
  time,
  label,
}: {
  trace: Trace;
  gaps: readonly Gap[];
  /** The end of the wait, s, where there is one: the picture is as wide as it. */
  until_s?: number | undefined;
  /** SI: above it something is wrong. */
  bound?: number | undefined;
  /** SI: between these it is right. */
  band?: { readonly low: number; readonly high: number } | undefined;
  figure: (si: number) => string;
  time: (seconds: number) => string;
  label: string;
}) {
  const { points } = trace;
  const end = Math.max(points.at(-1)?.[0] ?? 1, until_s ?? 0, 1);
  const values = points.map(([, si]) => si!);
  const marks = [
    ...(bound === undefined ? [] : [bound]),
    ...(band === undefined ? [] : [band.low, band.high]),
  ];
  const [least, most] = [Math.min(0, ...values, ...marks), Math.max(...values, ...marks)];
  const room = (most - least) * 0.08 || Math.max(Math.abs(most), 1) * 0.1;
  const [low, high] = [least - (least < 0 ? room : 0), most + room];
  const x = (seconds: number) => LEFT + (seconds / end) * (W - LEFT - RIGHT);
  const y = (si: number) => TOP + (1 - (si - low) / (high - low)) * (H - TOP - BOTTOM);
  return (
    <svg viewBox={`0 0 ${W} ${H}`} className="block h-auto w-full" role="img" aria-label={label}>
      <rect x={LEFT} y={TOP} width={W - LEFT - RIGHT} height={H - TOP - BOTTOM} fill="var(--sunk)" />
      {band !== undefined && (
        <rect
          x={LEFT}
          width={W - LEFT - RIGHT}
          y={y(band.high)}
          height={Math.max(2, y(band.low) - y(band.high))}
          fill="var(--go-bg)"
        />
      )}
      {gaps.map(({ from_s, to_s }) => (
        <rect
          key={from_s}
          x={x(from_s)}
          width={Math.max(2, x(to_s) - x(from_s))}
          y={TOP}
          height={H - TOP - BOTTOM}
          fill="url(#hatch-light)"
          stroke="var(--ink-wait-mark)"
        />
      ))}
      {bound !== undefined && (
        <line
          x1={LEFT}
          x2={W - RIGHT}
          y1={y(bound)}
          y2={y(bound)}
          stroke="var(--stop)"
          strokeWidth={2}
          strokeDasharray="7 5"
        />
      )}
      {stretches(points, gaps).map((stretch) => (
        <path
          key={stretch[0]![0]}
          d={`M${stretch.map(([s, si]) => `${tenth(x(s!))} ${tenth(y(si!))}`).join("L")}`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={2.5}
          strokeLinejoin="round"
        />
      ))}
      {points.length > 0 && (
        <circle
          cx={x(points.at(-1)![0]!)}
          cy={y(values.at(-1)!)}
          r={5}
          fill="var(--ink-lit-deep)"
          stroke="var(--ink)"
        />
      )}
      {[high - room, least].map((si) => (
        <text
          key={si}
          x={LEFT - 8}
          y={y(si) + 5}
          textAnchor="end"
          className="plate"
          fontSize={15}
          fill="var(--ink)"
        >
          {figure(si)}
        </text>
      ))}
      <text x={LEFT} y={H - 8} className="plate" fontSize={15} fill="var(--soft)">
        {time(0)}
      </text>
      <text x={W - RIGHT} y={H - 8} textAnchor="end" className="plate" fontSize={15} fill="var(--soft)">
        {time(end)}
      </text>
    </svg>
  );
}

/** The line is broken where nothing was heard. */
function stretches(points: Trace["points"], gaps: readonly Gap[]): (readonly (readonly number[])[])[] {
  const ends = new Set(gaps.map(({ to_s }) => to_s));
  const all: (readonly number[])[][] = [[]];
  for (const point of points) {
    if (ends.has(point[0]!)) all.push([]);
    all.at(-1)!.push(point);
  }
  return all.filter((each) => each.length > 0);
}
