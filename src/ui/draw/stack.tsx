import type { Part } from "@/core/formats";
import { PartDrawing } from "./part";

type Piece = NonNullable<Part["pieces"]>[number];

/** A piece of a stack as a part of its own, so that it is drawn by the same rules. */
export const pieceAsPart = (stack: Part, piece: Piece): Part => ({
  ...stack,
  name: piece.name,
  quantity: 1,
  // Seals are rubber; what stands between them is not.
  material: piece.kind === "ring" ? stack.material : "plastic",
  shape: { ...stack.shape, kind: piece.kind, height_mm: piece.height_mm },
});

const GAP = 3;
const LEAST = 9;

/** Where each piece stands, top piece first: foot and room in px. */
export function stackRows(stack: Part, scale: number) {
  let next = 0;
  return (stack.pieces ?? []).toReversed().map((piece, index, all) => {
    const part = pieceAsPart(stack, piece);
    const room = Math.max(LEAST, part.shape.height_mm * scale) + GAP;
    const top = next;
    next += room;
    return { piece, part, top, room, number: all.length - index };
  });
}

/** Height of a drawn stack, px: its pieces and the tilted face of the top one. */
export const stackHeight = (stack: Part, scale: number): number =>
  stackRows(stack, scale).reduce((sum, row) => sum + row.room, 0) + stack.shape.diameter_mm * scale * 0.2;

/** A stack of pieces on its centre line, the odd one marked. `tone` says how a piece (numbered from the bottom) looks. */
export function Stack({
  stack,
  x,
  y,
  scale,
  tone = () => "plain",
}: {
  stack: Part;
  x: number;
  y: number;
  scale: number;
  tone?: (number: number) => "plain" | "lit" | "gone";
}) {
  const half = (stack.shape.diameter_mm / 2) * scale;
  // The lowest is drawn first, so that each lies on the one below.
  return (
    <g>
      {stackRows(stack, scale)
        .toReversed()
        .map(({ piece, part, top, number }) => (
          <g key={number} opacity={tone(number) === "gone" ? 0.16 : 1}>
            <PartDrawing
              part={part}
              x={x}
              y={y + top + half * 0.2}
              scale={scale}
              lit={tone(number) === "lit"}
            />
            {piece.odd !== undefined && (
              <path
                d={`M${x - half - 15} ${y + top + half * 0.2 - 1} l11 6 l-11 6 z`}
                fill="var(--stop)"
                stroke="var(--card)"
              />
            )}
          </g>
        ))}
    </g>
  );
}

/** The stack being counted: what is out (or in) so far, and which piece comes next. */
export function StackCount({
  stack,
  counted,
  upward,
}: {
  stack: Part;
  counted: number;
  /** In, from the bottom up; out, from the top down. */
  upward: boolean;
}) {
  const pieces = stack.pieces ?? [];
  const next = upward ? counted + 1 : pieces.length - counted;
  const scale = 116 / stack.shape.diameter_mm;
  const height = stackHeight(stack, scale) + 20;
  const piece = pieces[next - 1];
  return (
    <div className="flex items-center gap-5">
      <svg
        width={190}
        height={height}
        viewBox={`0 0 190 ${height}`}
        role="img"
        aria-label={`${counted} of ${pieces.length} pieces ${upward ? "in" : "out"}`}
        className="shrink-0"
      >
        <path
          d={`M100 0V${height}`}
          stroke="var(--brass-line)"
          strokeWidth={1.4}
          strokeDasharray="14 4 3 4"
        />
        <Stack
          stack={stack}
          x={100}
          y={8}
          scale={scale}
          tone={(number) =>
            number === next && counted < pieces.length
              ? "lit"
              : (upward ? number > counted : number > next)
                ? "gone"
                : "plain"
          }
        />
      </svg>
      <div>
        <span className="plate block text-figure leading-none">
          {counted} <small className="text-head text-soft">of {pieces.length}</small>
        </span>
        <span className="caption">{upward ? "in, from the bottom up" : "out, from the top down"}</span>
        {piece !== undefined && counted < pieces.length && (
          <p className="mt-3 text-lead">
            Next: <b>{piece.name.toLowerCase()}</b>
            {piece.odd !== undefined && (
              <span className="mt-1 block rounded border-stop border-l-[6px] bg-stop-bg px-3 py-1.5 text-body">
                <b>The odd one:</b> {piece.odd}.
              </span>
            )}
          </p>
        )}
        {counted === pieces.length && <p className="mt-3 text-lead text-go-text">All counted.</p>}
      </div>
    </div>
  );
}
