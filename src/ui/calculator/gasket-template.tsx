export interface GasketShape {
  readonly inner: number; // m
  readonly outer: number; // m
  readonly hole: number | undefined; // m
  /** From the middle, right and up, m. */
  readonly holes: readonly { readonly x: number; readonly y: number }[];
}

/** Millimetres, to a thousandth: the last digits of a product would only clutter the file. */
const inMm = (metres: number): number => Math.round(metres * 1e6) / 1e3;
const EDGE = 6;
/** Length of the line that proves the scale, mm. */
const PROOF = 100;

/** The gasket in millimetres: as a picture it fills its place, as a template it is as large as the thing itself. */
export function GasketTemplate({ shape, plain }: { shape: GasketShape; plain?: boolean }) {
  const [outer, inner] = [inMm(shape.outer), inMm(shape.inner)];
  const size = inMm((Math.max(outer, plain ? 0 : PROOF) + 2 * EDGE) / 1000);
  const c = inMm(size / 2000);
  const height = plain ? size : inMm((size + 16) / 1000);
  const line = plain ? outer / 160 : 0.25;
  return (
    <svg
      xmlns="http://www.w3.org/2000/svg"
      viewBox={`0 0 ${size} ${height}`}
      {...(plain ? {} : { width: `${size}mm`, height: `${height}mm` })}
    >
      <title>Gasket template</title>
      <circle
        cx={c}
        cy={c}
        r={outer / 2}
        fill={plain ? "var(--ink-gasket)" : "none"}
        stroke={plain ? "var(--draw)" : "black"}
        strokeWidth={line}
      />
      <circle
        cx={c}
        cy={c}
        r={inner / 2}
        fill={plain ? "var(--card)" : "none"}
        stroke={plain ? "var(--draw)" : "black"}
        strokeWidth={line}
      />
      {shape.hole !== undefined &&
        shape.holes.map((hole, index) => (
          <g key={index}>
            <circle
              cx={inMm(hole.x + c / 1000)}
              cy={inMm(c / 1000 - hole.y)}
              r={inMm(shape.hole!) / 2}
              fill={plain ? "var(--card)" : "none"}
              stroke={plain ? "var(--draw)" : "black"}
              strokeWidth={line}
            />
            <path
              d={`M${inMm(hole.x + (c - 3) / 1000)} ${inMm(c / 1000 - hole.y)}h6m-3 -3v6`}
              stroke={plain ? "var(--draw)" : "black"}
              strokeWidth={line / 1.5}
            />
          </g>
        ))}
      <path d={`M${c - 5} ${c}h10m-5 -5v10`} stroke={plain ? "var(--draw)" : "black"} strokeWidth={line} />
      {!plain && (
        <>
          <path
            d={`M${c - PROOF / 2} ${size + 4}h${PROOF}m0 -2v4m-${PROOF} -4v4`}
            stroke="black"
            strokeWidth={0.3}
            fill="none"
          />
          <text x={c} y={size + 11} fontSize={4.5} textAnchor="middle" fontFamily="sans-serif">
            {`This line is ${PROOF} mm long. ${inner.toFixed(1)} × ${outer.toFixed(1)} mm`}
          </text>
        </>
      )}
    </svg>
  );
}
