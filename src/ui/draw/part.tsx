import type { Part } from "@/core/formats";
import { onCircle } from "./round";
import { Ball, Balls, Board, Body, Cap, Cartridge, Coil, Diaphragm, Float, Packing } from "./shapes";
import { Hex, inkOf, Ring, Screws, Spring, Stem, TILT, Turned } from "./solids";

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
  const ink = inkOf(part.material, lit);
  const r = Math.max(5, (shape.diameter_mm / 2) * scale);
  const h = partHeight(part, scale);
  const bore = shape.bore_mm === undefined ? undefined : (shape.bore_mm / 2) * scale;
  const solid = { x, y, r, h, ink };
  const hole = bore === undefined ? {} : { bore };
  switch (shape.kind) {
    case "ring":
      return <Ring {...solid} />;
    case "packing":
      return <Packing {...solid} count={part.quantity} />;
    case "stem":
      return <Stem {...solid} r={Math.max(4, r)} thread={(shape.thread_mm ?? 0) * scale} />;
    case "nut":
      return <Hex {...solid} {...hole} />;
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
          <Turned x={x} y={y + h * 0.62} r={r * 0.94} h={h * 0.38} ink={inkOf("nitrile", false)} />
          <Turned x={x} y={y} r={r} h={h * 0.62} ink={ink} {...hole} />
        </g>
      );
    case "seat":
      return <Turned {...solid} foot={r * 0.88} {...hole} />;
    case "ball":
      return part.quantity > 1 ? (
        <Balls {...solid} count={part.quantity} />
      ) : (
        <Ball {...solid} bore={bore ?? r * 0.6} />
      );
    case "float":
      return bore === undefined ? <Float {...solid} /> : <Turned {...solid} bore={bore} />;
    case "cap":
      return <Cap {...solid} {...hole} />;
    case "coil":
      return <Coil {...solid} {...hole} />;
    case "board":
      return <Board {...solid} />;
    case "cartridge":
      return <Cartridge {...solid} />;
    case "diaphragm":
      return <Diaphragm {...solid} {...hole} />;
    case "body":
      return part.stays === true ? <Body {...solid} {...hole} /> : <Turned {...solid} {...hole} />;
    case "plate":
      return (
        <Turned {...solid} {...hole}>
          {part.brittle === true &&
            Array.from({ length: 6 }, (_, index) => {
              const [cx, cy] = onCircle(x, y, r * 0.8, (Math.PI * 2 * (index + 0.5)) / 6, TILT);
              return <ellipse key={index} cx={cx} cy={cy} rx={2.6} ry={1.2} fill="var(--ink-hole)" />;
            })}
        </Turned>
      );
    default:
      return <Turned {...solid} {...hole} />;
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
