import type { Calibration } from "@/core/trouble";

const SIDE = 260;
const ROOM = 40;
const EDGE = 18;
const at = (share: number) => ROOM + share * SIDE;
const up = (share: number) => 8 + (1 - share) * SIDE;
const TICKS = [0, 0.2, 0.4, 0.6, 0.8, 1] as const;

/** What was said against what was: on the line it was right. Each band with how sure that is; the more cases the larger. */
export function CalibrationPlot({
  calibration: { bands },
  label,
}: {
  calibration: Calibration;
  label: string;
}) {
  const most = Math.max(1, ...bands.map(({ given }) => given));
  return (
    <svg
      viewBox={`0 0 ${SIDE + ROOM + EDGE} ${SIDE + 40}`}
      role="img"
      aria-label={label}
      className="w-full max-w-[420px]"
    >
      {TICKS.map((tick) => (
        <g key={tick}>
          <line
            x1={at(tick)}
            x2={at(tick)}
            y1={up(0)}
            y2={up(1)}
            stroke="var(--rule)"
            strokeDasharray="2 4"
          />
          <line
            x1={at(0)}
            x2={at(1)}
            y1={up(tick)}
            y2={up(tick)}
            stroke="var(--rule)"
            strokeDasharray="2 4"
          />
          <text x={at(tick)} y={up(0) + 24} textAnchor="middle" fill="var(--soft)" className="text-fine">
            {tick * 100}
          </text>
          <text x={at(0) - 12} y={up(tick) + 4} textAnchor="end" fill="var(--soft)" className="text-fine">
            {tick * 100}
          </text>
        </g>
      ))}
      <line x1={at(0)} y1={up(0)} x2={at(1)} y2={up(1)} stroke="var(--brass-line)" strokeWidth={3} />
      {bands.map(({ from, said, was, low, high, given }) => (
        <g key={from}>
          <line x1={at(said)} x2={at(said)} y1={up(low)} y2={up(high)} stroke="var(--ink)" strokeWidth={2} />
          <circle
            cx={at(said)}
            cy={up(was)}
            r={4 + 5 * Math.sqrt(given / most)}
            fill="var(--card)"
            stroke="var(--ink)"
            strokeWidth={2}
          />
        </g>
      ))}
    </svg>
  );
}
