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
