import { onCircle } from "./round";

const HALF = 36;
const REACH = 33;

/** A flange gasket as it is cut, of true proportions: its bolts, and whether it lies within them. */
export function FlangeGasket({
  bolts,
  circle_mm,
  bolt_mm,
  outside_mm,
  bore_mm,
}: {
  bolts: number;
  circle_mm: number;
  bolt_mm: number;
  outside_mm: number;
  bore_mm: number;
}) {
  // The flange reaches a bolt beyond their circle at least.
  const scale = (2 * REACH) / Math.max(outside_mm, circle_mm + 2 * bolt_mm);
  const radius = (mm: number) => (mm * scale) / 2;
  const full = outside_mm > circle_mm;
  const holes = Array.from({ length: bolts }, (_, index) =>
    onCircle(0, 0, radius(circle_mm), ((index + 0.5) / bolts) * 2 * Math.PI),
  );
  return (
    <svg
      viewBox={`${-HALF} ${-HALF} ${2 * HALF} ${2 * HALF}`}
      className="size-16 shrink-0"
      aria-hidden="true"
      focusable="false"
    >
      <circle r={REACH} fill="var(--sunk)" stroke="var(--rule)" />
      <circle r={radius(outside_mm)} fill="var(--brass-line)" stroke="var(--ink)" strokeWidth="1.2" />
      <circle r={radius(bore_mm)} fill="var(--card)" stroke="var(--ink)" strokeWidth="1.2" />
      {holes.map(([x, y]) => (
        <circle
          key={`${x} ${y}`}
          cx={x}
          cy={y}
          r={Math.max(radius(bolt_mm), 1.6)}
          fill={full ? "var(--card)" : "var(--ink)"}
          stroke="var(--ink)"
          strokeWidth="1.2"
        />
      ))}
    </svg>
  );
}
