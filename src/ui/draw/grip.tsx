import type { GripAt, Part } from "@/core/formats";
import { PartDrawing, partHeight } from "./part";

const [WIDTH, HEIGHT] = [168, 128];

/** A place on the drawn part: where a tool comes from, and where it meets the part. */
function placeOf(
  at: GripAt,
  half: number,
  top: number,
  high: number,
): { x: number; y: number; from: [number, number] } {
  const [cx, mid] = [WIDTH / 2, top + high / 2];
  switch (at) {
    case "top":
      return { x: cx, y: top, from: [0, -26] };
    case "foot":
      return { x: cx + half, y: top + high, from: [30, 10] };
    case "middle":
      return { x: cx + half, y: mid, from: [34, 0] };
    case "left":
      return { x: cx - half, y: mid, from: [-34, 0] };
    case "right":
      return { x: cx + half, y: mid, from: [34, 0] };
  }
}

/** A part with an arrow where a tool grips or levers it, and a cross where none ever may. */
export function Grip({ part, at, keepOff }: { part: Part; at: GripAt; keepOff?: GripAt }) {
  const scale = Math.min(92 / part.shape.diameter_mm, 70 / part.shape.height_mm);
  const half = (part.shape.diameter_mm / 2) * scale;
  const high = partHeight(part, scale);
  const top = (HEIGHT - high) / 2 + 6;
  const grip = placeOf(at, half, top, high);
  const off = keepOff === undefined ? undefined : placeOf(keepOff, half, top, high);
  return (
    <svg
      width={WIDTH}
      height={HEIGHT}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      aria-hidden="true"
      className="shrink-0 rounded bg-card"
    >
      <PartDrawing part={part} x={WIDTH / 2} y={top} scale={scale} />
      <Arrow {...grip} />
      {off !== undefined && (
        <g stroke="var(--stop)" strokeWidth={4} strokeLinecap="round">
          <circle cx={off.x} cy={off.y} r={13} fill="none" />
          <path d={`M${off.x - 8} ${off.y - 8}l16 16m0 -16l-16 16`} />
        </g>
      )}
    </svg>
  );
}

function Arrow({ x, y, from: [dx, dy] }: { x: number; y: number; from: [number, number] }) {
  const long = Math.hypot(dx, dy);
  const [ux, uy] = [dx / long, dy / long];
  const [px, py] = [-uy, ux];
  const head = [1, -1].map(
    (side) => `M${x + ux * 11 + px * 7 * side} ${y + uy * 11 + py * 7 * side}L${x} ${y}`,
  );
  return (
    <path
      d={`M${x + dx} ${y + dy}L${x} ${y}${head.join("")}`}
      fill="none"
      stroke="var(--go)"
      strokeWidth={5}
      strokeLinecap="round"
    />
  );
}
