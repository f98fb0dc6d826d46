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
  says,
}: {
  pieces: number;
  free: number;
  least?: number;
  /** What it shows, for who does not see it. */
  says: string;
}) {
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
        const x = GAP + index * (BOX + GAP);
        const nth = index * each + 1;
        const kind = nth <= free ? "free" : nth <= pieces ? "held" : "missing";
        return (
          <rect
            key={x}
            x={x}
            y={2}
            width={BOX}
            height={HIGH}
            rx={2}
            fill={kind === "free" ? "var(--brass-line)" : kind === "held" ? "url(#hatch-steel)" : "none"}
            stroke={kind === "missing" ? "var(--stop)" : "var(--ink)"}
            strokeWidth={1.3}
            strokeDasharray={kind === "missing" ? "3 2.4" : undefined}
          />
        );
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
