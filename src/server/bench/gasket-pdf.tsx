import { Circle, Document, Line, Page, renderToBuffer, Svg, Text } from "@react-pdf/renderer";

/** Points of a PDF in a millimetre. */
const PT = 72 / 25.4;
const MARGIN = 10;
const PROOF = 100;
/** Paper, mm; a larger gasket gets a sheet of its own size. */
const PAPERS = [
  [210, 297],
  [297, 420],
] as const;

export interface GasketOutline {
  readonly inner_mm: number;
  readonly outer_mm: number;
  readonly hole_mm?: number;
  /** From the middle, right and up, mm. */
  readonly holes: readonly { readonly x_mm: number; readonly y_mm: number }[];
}

/** A gasket template at full size, with a line of 100 mm that proves the print. */
export async function gasketPdf({ inner_mm, outer_mm, hole_mm, holes }: GasketOutline): Promise<Uint8Array> {
  const need = outer_mm + 2 * MARGIN;
  const [width, height] = PAPERS.find(([w, h]) => need <= w && need + 24 <= h) ?? [
    Math.max(need, PROOF + 2 * MARGIN),
    need + 24,
  ];
  const [cx, cy] = [width / 2, MARGIN + outer_mm / 2];
  const foot = MARGIN + outer_mm + 10;
  // A drawing as high as its page is taken to break over two.
  const drawn = height - 1;
  const ink = { stroke: "#000000", strokeWidth: 0.25, fill: "none" };
  const words = `${PROOF} mm: measure this line before you cut. ${outer_mm.toFixed(1)} × ${inner_mm.toFixed(1)} mm`;
  return renderToBuffer(
    <Document title="Gasket template" creator="Loft Bell">
      <Page size={[width * PT, height * PT]}>
        <Svg
          viewBox={`0 0 ${width} ${drawn}`}
          width={width * PT}
          height={drawn * PT}
          style={{ position: "absolute", top: 0, left: 0 }}
        >
          <Circle cx={cx} cy={cy} r={outer_mm / 2} {...ink} />
          <Circle cx={cx} cy={cy} r={inner_mm / 2} {...ink} />
          {hole_mm !== undefined &&
            holes.map((hole, index) => (
              <Circle key={index} cx={cx + hole.x_mm} cy={cy - hole.y_mm} r={hole_mm / 2} {...ink} />
            ))}
          <Line x1={cx - 5} y1={cy} x2={cx + 5} y2={cy} {...ink} />
          <Line x1={cx} y1={cy - 5} x2={cx} y2={cy + 5} {...ink} />
          <Line x1={cx - PROOF / 2} y1={foot} x2={cx + PROOF / 2} y2={foot} {...ink} />
          <Line x1={cx - PROOF / 2} y1={foot - 2} x2={cx - PROOF / 2} y2={foot + 2} {...ink} />
          <Line x1={cx + PROOF / 2} y1={foot - 2} x2={cx + PROOF / 2} y2={foot + 2} {...ink} />
          <Text x={MARGIN} y={foot + 8} style={{ fontSize: 3.6 }}>
            {words}
          </Text>
        </Svg>
      </Page>
    </Document>,
  );
}
