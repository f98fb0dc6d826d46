import type { ReactNode } from "react";
import { Hex, Ring, type Solid, TILT, Turned } from "./solids";

const EDGE = { stroke: "var(--draw)", strokeWidth: 1.3 };
const HOLE = "var(--ink-hole)";

/** A round float: closed, lighter where it is lit, with its seam. */
export function Float({ x, y, r, h, ink: [top, side] }: Solid) {
  const ry = Math.min(r, h / 2 + 2);
  const cy = y + h / 2;
  return (
    <g>
      <ellipse cx={x} cy={cy} rx={r} ry={ry} fill={side} {...EDGE} />
      <ellipse cx={x - r * 0.3} cy={cy - ry * 0.38} rx={r * 0.34} ry={ry * 0.26} fill={top} />
      <path
        d={`M${x - r} ${cy} a${r} ${r * TILT} 0 0 0 ${2 * r} 0`}
        fill="none"
        {...EDGE}
        strokeOpacity={0.6}
      />
    </g>
  );
}

/** A ball with its way through. */
export function Ball({ x, y, r, h, ink: [top, side], bore }: Solid & { bore: number }) {
  const round = Math.min(r, h / 2 + 2);
  const cy = y + h / 2;
  return (
    <g>
      <circle cx={x} cy={cy} r={round} fill={side} {...EDGE} />
      <ellipse cx={x} cy={cy} rx={bore} ry={bore * 0.86} fill={HOLE} {...EDGE} />
      <ellipse cx={x - round * 0.42} cy={cy - round * 0.52} rx={round * 0.22} ry={round * 0.14} fill={top} />
    </g>
  );
}

/** Loose balls of a race, lying in a row. */
export function Balls({ x, y, h, ink: [top, side], count }: Solid & { count: number }) {
  const shown = Math.min(count, 9);
  const size = Math.max(4, Math.min(7, h));
  return (
    <g>
      {Array.from({ length: shown }, (_, index) => {
        const cx = x + (index - (shown - 1) / 2) * size * 2.1;
        return (
          <g key={index}>
            <circle cx={cx} cy={y + size} r={size} fill={side} {...EDGE} />
            <circle cx={cx - size * 0.3} cy={y + size * 0.65} r={size * 0.28} fill={top} />
          </g>
        );
      })}
    </g>
  );
}

/** A diaphragm: a thin sheet with its rolled fold and its thick middle. */
export function Diaphragm(solid: Solid & { bore?: number }) {
  const { x, y, r, ink } = solid;
  const [, side] = ink;
  return (
    <Turned {...solid}>
      <ellipse cx={x} cy={y} rx={r * 0.74} ry={r * 0.74 * TILT} fill="none" stroke={side} strokeWidth={4} />
      <ellipse
        cx={x}
        cy={y}
        rx={r * 0.74}
        ry={r * 0.74 * TILT}
        fill="none"
        stroke="var(--draw)"
        strokeOpacity={0.5}
      />
      <ellipse
        cx={x}
        cy={y - 1}
        rx={r * 0.34}
        ry={r * 0.34 * TILT}
        fill={side}
        stroke="var(--draw)"
        strokeOpacity={0.7}
      />
    </Turned>
  );
}

/** Packing: rings one upon the other. */
export function Packing({ count, ...solid }: Solid & { count: number }) {
  const rings = Math.max(2, Math.min(count, 4));
  const each = Math.max(4, solid.h / rings);
  return (
    <g>
      {Array.from({ length: rings }, (_, index) => (
        <Ring key={index} {...solid} y={solid.y + (rings - 1 - index) * each} h={each * 0.9} />
      ))}
    </g>
  );
}

/** A cartridge: a hexagon head, a waist with windows, a foot. */
export function Cartridge({ x, y, r, h, ink }: Solid) {
  const head = Math.min(h * 0.3, r * 0.9);
  const waist = h - head;
  return (
    <g>
      <Turned x={x} y={y + head} r={r * 0.78} h={waist} ink={ink}>
        {[-0.42, 0, 0.42].map((place) => (
          <rect
            key={place}
            x={x + place * r * 1.1 - r * 0.11}
            y={y + head + waist * 0.38 + r * 0.12}
            width={r * 0.22}
            height={waist * 0.36}
            rx={r * 0.1}
            fill={HOLE}
          />
        ))}
      </Turned>
      <Hex x={x} y={y} r={r} h={head} ink={ink} bore={r * 0.3} />
    </g>
  );
}

/** A coil: windings round a core, and the two ends of its wire. */
export function Coil({ bore, ...solid }: Solid & { bore?: number }) {
  const { x, y, r, h } = solid;
  return (
    <Turned {...solid} {...(bore !== undefined && { bore })}>
      {[0.2, 0.35, 0.5, 0.65, 0.8].map((share) => (
        <path
          key={share}
          d={`M${x - r} ${y + h * share} a${r} ${r * TILT} 0 0 0 ${2 * r} 0`}
          fill="none"
          stroke="var(--draw)"
          strokeOpacity={0.5}
        />
      ))}
      {[0.35, 0.6].map((share) => (
        <path
          key={share}
          d={`M${x + r * 0.96} ${y + h * share} q${r * 0.4} -2 ${r * 0.5} ${r * 0.28}`}
          fill="none"
          stroke="var(--ink-silicone-deep)"
          strokeWidth={2.2}
        />
      ))}
    </Turned>
  );
}

/** A board with its parts on it, lying flat. */
export function Board({ x, y, r, h }: Solid) {
  const skew = r * 0.24;
  const chips = [
    [-0.5, 0.3, 0.34],
    [0.05, 0.5, 0.26],
    [0.5, 0.25, 0.2],
  ] as const;
  return (
    <g>
      <path
        d={`M${x - r} ${y + skew} L${x - r + skew} ${y - skew * 0.4} H${x + r} L${x + r - skew} ${y + skew} z`}
        fill="var(--ink-board)"
        {...EDGE}
      />
      <path
        d={`M${x - r} ${y + skew} H${x + r - skew} v${Math.max(4, h * 0.5)} H${x - r} z`}
        fill="var(--ink-board-deep)"
        {...EDGE}
      />
      {chips.map(([place, deep, width]) => (
        <rect
          key={place}
          x={x + place * r - (width * r) / 2}
          y={y - skew * 0.2 + deep * skew}
          width={width * r}
          height={Math.max(3, skew * 0.5)}
          fill="var(--ink-line)"
        />
      ))}
    </g>
  );
}

/** The fixed body: a turned block with the stubs of its two ends. */
export function Body({ bore, children, ...solid }: Solid & { bore?: number; children?: ReactNode }) {
  const { x, y, r, h, ink } = solid;
  const [, side] = ink;
  const stub = Math.min(h * 0.5, r * 0.62);
  const top = y + h * 0.34;
  return (
    <g>
      {[-1, 1].map((way) => (
        <g key={way}>
          <rect
            x={way < 0 ? x - r - 6 : x + r - 4}
            y={top}
            width={10}
            height={stub}
            rx={2}
            fill={side}
            {...EDGE}
          />
          <rect
            x={way < 0 ? x - r - 8 : x + r + 4}
            y={top - 3}
            width={4}
            height={stub + 6}
            rx={1.5}
            fill={side}
            {...EDGE}
          />
        </g>
      ))}
      <Turned {...solid} {...(bore !== undefined && { bore })}>
        {children}
      </Turned>
    </g>
  );
}

/** A cap: a turned rim with a hexagon on it, or, without one, a step and a dome. */
export function Cap({ bore, ...solid }: Solid & { bore?: number }) {
  const { x, y, r, h, ink } = solid;
  const hexagon = bore !== undefined && bore > r * 0.28;
  return (
    <g>
      <Turned x={x} y={y + h * 0.45} r={r} h={h * 0.55} ink={ink} />
      {hexagon ? (
        <Hex x={x} y={y} r={Math.max(6, bore)} h={h * 0.45} ink={ink} bore={0} />
      ) : (
        <Turned x={x} y={y} r={r * 0.74} h={h * 0.45} ink={ink} />
      )}
    </g>
  );
}
