import { type LabelSheet, labelPlace } from "@/core/papers";

/** The first sheet as it comes out of the printer. What is used up already is hatched; a tap says so. */
export function SheetDrawn({
  sheet,
  skip,
  plates,
  onSkip,
}: {
  sheet: LabelSheet;
  skip: number;
  plates: readonly string[];
  onSkip: (places: number) => void;
}) {
  const { width_mm, height_mm, columns, rows, label } = sheet;
  return (
    <svg
      viewBox={`0 0 ${width_mm} ${height_mm}`}
      className="max-h-[44vh] w-full"
      role="group"
      aria-label="The first sheet"
    >
      <rect
        width={width_mm}
        height={height_mm}
        fill="var(--ink-ptfe)"
        stroke="var(--edge)"
        strokeWidth={0.6}
      />
      {Array.from({ length: columns * rows }, (_, index) => {
        const { x_mm, y_mm } = labelPlace(sheet, index);
        const plate = plates[index - skip];
        const used = index < skip;
        const side = Math.min(label.height_mm - 5, 34);
        return (
          // biome-ignore lint/a11y/noStaticElementInteractions: the same is said by the field beside it, which keys reach
          <g
            key={index}
            transform={`translate(${x_mm} ${y_mm})`}
            onClick={() => columns * rows > 1 && onSkip(index)}
            className={columns * rows > 1 ? "cursor-pointer" : ""}
          >
            <rect
              width={label.width_mm}
              height={label.height_mm}
              rx={1.5}
              fill={used ? "var(--ink-plastic-deep)" : "var(--ink-ptfe)"}
              stroke="var(--ink-iron-deep)"
              strokeWidth={0.3}
            />
            {!used && plate !== undefined && (
              <>
                <CodeMark side={side} />
                <text
                  x={side + 5}
                  y={label.height_mm / 2 + 2}
                  fontSize={Math.min(7, (label.width_mm - side - 7) / Math.max(4, plate.length) / 0.5)}
                  fontFamily="var(--font-plate)"
                  fontWeight={600}
                  fill="var(--ink-line)"
                >
                  {plate}
                </text>
              </>
            )}
          </g>
        );
      })}
    </svg>
  );
}

/** A code as one knows it from afar: three eyes in a square. */
const CodeMark = ({ side }: { side: number }) => (
  <g transform={`translate(2.5 2.5) scale(${side / 21})`} fill="var(--ink-line)">
    <rect x={0.5} y={0.5} width={20} height={20} fill="none" stroke="var(--ink-iron)" strokeWidth={0.4} />
    {[
      [1, 1],
      [13, 1],
      [1, 13],
    ].map(([x, y]) => (
      <path key={`${x} ${y}`} fillRule="evenodd" d={`M${x} ${y}h7v7h-7zm1 1v5h5v-5zm1 1h3v3h-3z`} />
    ))}
    <path d="M10 2h1v2h-1zM9 6h2v1h-2zM9 10h3v1h-3zM13 9h2v2h-2zM17 10h2v1h-2zM10 13h1v3h-1zM13 13h2v2h-2zM16 16h3v1h-3zM12 17h2v2h-2z" />
  </g>
);
