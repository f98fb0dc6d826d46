import type { Part } from "@/core/formats";
import { Hex, INKS, type Ink, LIT, Ring, Screws, Spring, Stem, TILT, Turned } from "./solids";

/** A part drawn from its sheet's shape: centre x, top y, and px per mm. */
export function PartDrawing({
  part,
  x,
  y,
  scale,
  lit = false,
}: {
  part: Part;
  x: number;
  y: number;
  scale: number;
  lit?: boolean;
}) {
  const { shape } = part;
  const ink: Ink = lit ? LIT : (INKS[part.material] ?? INKS.steel!);
  const r = Math.max(5, (shape.diameter_mm / 2) * scale);
  const h = partHeight(part, scale);
  const bore = shape.bore_mm === undefined ? undefined : (shape.bore_mm / 2) * scale;
  const solid = { x, y, r, h, ink };
  switch (shape.kind) {
    case "ring":
    case "packing":
      return <Ring {...solid} />;
    case "stem":
      return <Stem {...solid} r={Math.max(4, r)} thread={(shape.thread_mm ?? 0) * scale} />;
    case "nut":
      return <Hex {...solid} {...(bore !== undefined && { bore })} />;
    case "spring":
      return <Spring {...solid} />;
    case "screws":
      return (
        <Screws
          {...solid}
          r={part.fastener?.circle_mm === undefined ? r : Math.max(r, (part.fastener.circle_mm / 2) * scale)}
          count={part.quantity}
        />
      );
    case "disc":
      return (
        <g>
          <Turned
            x={x}
            y={y + h * 0.62}
            r={r * 0.94}
            h={h * 0.38}
            ink={lit ? INKS.nitrile! : INKS.nitrile!}
          />
          <Turned x={x} y={y} r={r} h={h * 0.62} ink={ink} {...(bore !== undefined && { bore })} />
        </g>
      );
    case "seat":
      return <Turned {...solid} foot={r * 0.88} {...(bore !== undefined && { bore })} />;
    case "ball":
    case "float":
      return (
        <g>
          <circle
            cx={x}
            cy={y + h / 2}
            r={Math.min(r, h / 2 + 2)}
            fill={ink[1]}
            stroke="var(--draw)"
            strokeWidth={1.3}
          />
          <ellipse
            cx={x}
            cy={y + h / 2}
            rx={(bore ?? 0) || Math.min(r, h / 2) * 0.4}
            ry={((bore ?? 0) || Math.min(r, h / 2) * 0.4) * 0.6}
            fill={bore === undefined ? ink[0] : "#2A363E"}
          />
        </g>
      );
    case "cap":
      return (
        <g>
          <Turned x={x} y={y + h * 0.45} r={r} h={h * 0.55} ink={ink} />
          <Hex x={x} y={y} r={Math.max(6, bore ?? r * 0.42)} h={h * 0.45} ink={ink} bore={0} />
        </g>
      );
    case "coil":
      return (
        <Turned {...solid} {...(bore !== undefined && { bore })}>
          {[0.3, 0.5, 0.7].map((share) => (
            <path
              key={share}
              d={`M${x - r} ${y + h * share} a${r} ${r * TILT} 0 0 0 ${2 * r} 0`}
              fill="none"
              stroke="var(--draw)"
              strokeOpacity={0.5}
            />
          ))}
        </Turned>
      );
    case "board":
      return (
        <rect
          x={x - r}
          y={y}
          width={2 * r}
          height={h}
          rx={2}
          fill={ink[1]}
          stroke="var(--draw)"
          strokeWidth={1.3}
        />
      );
    case "plate":
    case "diaphragm":
      return (
        <Turned {...solid} {...(bore !== undefined && { bore })}>
          {part.brittle === true &&
            Array.from({ length: 6 }, (_, index) => {
              const angle = (Math.PI * 2 * (index + 0.5)) / 6;
              return (
                <ellipse
                  key={index}
                  cx={x + Math.cos(angle) * r * 0.8}
                  cy={y + Math.sin(angle) * r * 0.8 * TILT}
                  rx={2.6}
                  ry={1.2}
                  fill="#2A363E"
                />
              );
            })}
        </Turned>
      );
    default:
      return <Turned {...solid} {...(bore !== undefined && { bore })} />;
  }
}

/** Height of the drawn solid, px: true to scale, but never too thin to see. */
export function partHeight(part: Part, scale: number): number {
  return Math.max(part.shape.kind === "ring" ? 4 : 5, part.shape.height_mm * scale);
}

/** Room a part takes on the axis, px, its tilted faces included. */
export function partRoom(part: Part, scale: number): number {
  const across = Math.max(part.shape.diameter_mm, part.fastener?.circle_mm ?? 0) * scale;
  return partHeight(part, scale) + across * TILT;
}

/** One part by itself in a small box: the tray and the lists. */
export function PartIcon({ part, lit = false, size = 60 }: { part: Part; lit?: boolean; size?: number }) {
  const across = Math.max(part.shape.diameter_mm, part.fastener?.circle_mm ?? 0);
  const scale = Math.min((size - 6) / across, (size - 8) / (part.shape.height_mm + across * TILT), 1.6);
  const room = partRoom(part, scale);
  const top = (size - room) / 2 + (across / 2) * scale * TILT;
  return (
    <svg width={size} height={size} aria-hidden="true" focusable="false">
      <PartDrawing part={part} x={size / 2} y={top} scale={scale} lit={lit} />
    </svg>
  );
}
