/** Boxes that a shelf is drawn with; where there are more, each stands for several. */
const MOST = 10;
const BOX = 13;
const GAP = 3;
const HIGH = 16;

/**
 * What lies at a place, box by box: free ones full, promised ones hatched, what is missing to the least level as empty
 * outlines. The stroke below is the shelf, up to the least level it is thick.
 */
export function Shelf({
  pieces,
  free,
  least = 0,
}: {
  pieces: number;
  free: number;
  least?: number | undefined;
}) {
  const says = [
    `${pieces} ${pieces === 1 ? "piece" : "pieces"}`,
    ...(free < pieces ? [`${free} free`] : []),
    ...(least > 0 ? [`at least ${least}`] : []),
  ].join(", ");
  const most = Math.max(pieces, least, 1);
  const each = Math.ceil(most / MOST);
  const boxes = Math.ceil(most / each);
  const width = boxes * (BOX + GAP) + GAP;
  return (
    <svg
      role="img"
      aria-label={says}
      viewBox={`0 0 ${width} ${HIGH + 8}`}
      width={width}
      height={HIGH + 8}
      className="block max-w-full"
    >
      {Array.from({ length: boxes }, (_, index) => {
        const nth = index * each + 1;
        const kind = nth <= free ? "free" : nth <= pieces ? "held" : "missing";
        return <Box key={index} x={GAP + index * (BOX + GAP)} kind={kind} />;
      })}
      <path d={`M0 ${HIGH + 4.5}H${width}`} stroke="var(--edge)" strokeWidth={1.5} />
      {least > 0 && (
        <path
          d={`M0 ${HIGH + 4.5}H${(Math.min(least, most) / most) * width}`}
          stroke="var(--ink)"
          strokeWidth={3.5}
        />
      )}
    </svg>
  );
}

function Box({ x, kind }: { x: number; kind: "free" | "held" | "missing" }) {
  const rect = (
    <rect
      x={x}
      y={2}
      width={BOX}
      height={HIGH}
      rx={2}
      fill={kind === "free" ? "var(--brass-line)" : "none"}
      stroke={kind === "missing" ? "var(--stop)" : "var(--ink)"}
      strokeWidth={1.3}
      strokeDasharray={kind === "missing" ? "3 2.4" : undefined}
    />
  );
  if (kind !== "held") return rect;
  const right = x + BOX;
  return (
    <>
      {rect}
      <path
        d={`M${x} 9L${x + 7} 2M${x} 16L${right} 3M${x + 5} 18L${right} 10`}
        stroke="var(--ink)"
        strokeWidth={1.1}
      />
    </>
  );
}

const LEGEND = [
  ["free", "free"],
  ["held", "promised, or over its day"],
  ["missing", "missing to the least level"],
] as const;

/** What the boxes mean. */
export function ShelfLegend() {
  return (
    <ul className="flex flex-wrap gap-x-5 gap-y-1 text-note text-soft">
      {LEGEND.map(([kind, says]) => (
        <li key={kind} className="flex items-center gap-1.5">
          <svg width={BOX + 2} height={HIGH + 4} viewBox={`-1 0 ${BOX + 2} ${HIGH + 4}`} aria-hidden="true">
            <Box x={0} kind={kind} />
          </svg>
          {says}
        </li>
      ))}
      <li className="flex items-center gap-1.5">
        <svg width={24} height={8} aria-hidden="true">
          <path d="M0 4H24" stroke="var(--ink)" strokeWidth={3.5} />
        </svg>
        at least so many
      </li>
    </ul>
  );
}
