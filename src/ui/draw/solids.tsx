import type { ReactNode } from "react";
import { onCircle } from "./round";

/** How far from above the turned shapes are seen: minor over major axis of a circle. */
export const TILT = 0.2;

/** Top and side ink of a material, and the hatch its cut shows. */
export type Ink = readonly [string, string, string?];
export const INKS: Record<string, Ink> = {
  iron: ["var(--ink-iron)", "var(--ink-iron-deep)", "iron"],
  steel: ["var(--ink-steel)", "var(--ink-steel-deep)", "steel"],
  stainless: ["var(--ink-stainless)", "var(--ink-stainless-deep)", "steel"],
  brass: ["var(--ink-brass)", "var(--ink-brass-deep)", "brass"],
  bronze: ["var(--ink-bronze)", "var(--ink-bronze-deep)", "brass"],
  copper: ["var(--ink-copper)", "var(--ink-copper-deep)", "brass"],
  aluminium: ["var(--ink-aluminium)", "var(--ink-aluminium-deep)", "light"],
  plastic: ["var(--ink-plastic)", "var(--ink-plastic-deep)", "plastic"],
  nitrile: ["var(--ink-nitrile)", "var(--ink-nitrile-deep)"],
  epdm: ["var(--ink-epdm)", "var(--ink-epdm-deep)"],
  silicone: ["var(--ink-silicone)", "var(--ink-silicone-deep)", "rubber"],
  ptfe: ["var(--ink-ptfe)", "var(--ink-ptfe-deep)", "ptfe"],
  graphite: ["var(--ink-graphite)", "var(--ink-graphite-deep)"],
  fibre: ["var(--ink-fibre)", "var(--ink-fibre-deep)", "fibre"],
};

/** The hatches, once a page: a material is told by its lines as well as by its colour. */
export function HatchDefs() {
  const line = { fill: "none", stroke: "var(--ink-line)", strokeWidth: 0.9 };
  return (
    <svg width={0} height={0} aria-hidden="true" focusable="false" className="absolute">
      <defs>
        <pattern id="hatch-iron" width={5} height={5} patternUnits="userSpaceOnUse">
          <path d="M0 5L5 0" {...line} />
        </pattern>
        <pattern id="hatch-steel" width={8} height={8} patternUnits="userSpaceOnUse">
          <path d="M0 8L8 0M0 5L5 0" {...line} />
        </pattern>
        <pattern id="hatch-brass" width={7} height={7} patternUnits="userSpaceOnUse">
          <path d="M0 7L7 0" {...line} strokeDasharray="3 1.6" />
        </pattern>
        <pattern id="hatch-light" width={9} height={9} patternUnits="userSpaceOnUse">
          <path d="M0 9L9 0" {...line} />
        </pattern>
        <pattern id="hatch-plastic" width={7} height={7} patternUnits="userSpaceOnUse">
          <path d="M0 3.5H7M3.5 0V7" {...line} strokeWidth={0.6} />
        </pattern>
        <pattern id="hatch-rubber" width={5} height={5} patternUnits="userSpaceOnUse">
          <path d="M0 5L5 0M0 0L5 5" {...line} strokeWidth={0.7} />
        </pattern>
        <pattern id="hatch-ptfe" width={6} height={4} patternUnits="userSpaceOnUse">
          <path d="M0 2H6" {...line} strokeWidth={0.7} />
        </pattern>
        <pattern id="hatch-fibre" width={7} height={6} patternUnits="userSpaceOnUse">
          <path d="M1 1.5H4M3 4.5H6.4" {...line} />
        </pattern>
      </defs>
    </svg>
  );
}

export const LIT: Ink = ["var(--ink-lit)", "var(--ink-lit-deep)"];
/** The ink of a material, lit when it is the part in hand; the hatch stays. */
export const inkOf = (material: string, lit: boolean): Ink => {
  const ink = INKS[material] ?? INKS.steel!;
  return lit ? [LIT[0], LIT[1], ink[2]] : ink;
};

const STROKE = { stroke: "var(--draw)", strokeWidth: 1.3, strokeLinejoin: "round" as const };
const HOLE = "var(--ink-hole)";

export interface Solid {
  readonly x: number;
  readonly y: number; // top face
  readonly r: number;
  readonly h: number;
  readonly ink: Ink;
}

/** A turned piece: side, shading to the right, top face, and a bore when it has one. */
export function Turned({
  x,
  y,
  r,
  h,
  ink: [top, side, hatch],
  bore,
  foot = r,
  children,
}: Solid & { bore?: number; foot?: number; children?: ReactNode }) {
  const ry = r * TILT;
  const fy = foot * TILT;
  return (
    <g>
      <path
        d={`M${x - r} ${y} L${x - foot} ${y + h} a${foot} ${fy} 0 0 0 ${2 * foot} 0 L${x + r} ${y}`}
        fill={side}
        {...STROKE}
      />
      {hatch !== undefined && h > 5 && (
        <path
          d={`M${x - r} ${y} L${x - foot} ${y + h} a${foot} ${fy} 0 0 0 ${foot * 0.42} ${fy * 0.815} L${x - r * 0.58} ${y + ry * 0.815} a${r} ${ry} 0 0 1 ${-r * 0.42} ${-ry * 0.815} z`}
          fill={`url(#hatch-${hatch})`}
          opacity={0.5}
        />
      )}
      {[0.55, 0.68, 0.81, 0.93].map((share) => {
        const deep = Math.sqrt(1 - share * share);
        return (
          <line
            key={share}
            x1={x + r * share}
            y1={y + deep * ry + 1}
            x2={x + foot * share}
            y2={y + h + deep * fy - 1}
            stroke="var(--draw)"
            strokeOpacity={0.2}
          />
        );
      })}
      <ellipse cx={x} cy={y} rx={r} ry={ry} fill={top} {...STROKE} />
      {bore !== undefined && bore > 1.2 && (
        <ellipse cx={x} cy={y} rx={bore} ry={bore * TILT} fill={HOLE} stroke="var(--draw)" />
      )}
      {children}
    </g>
  );
}

export function Hex({ x, y, r, h, ink: [top, side], bore = r * 0.4 }: Solid & { bore?: number }) {
  const ry = r * TILT;
  const corners = [-1, -0.5, 0.5, 1].map((k) => [x + k * r, y + (Math.abs(k) === 1 ? 0 : ry)] as const);
  const [a, b, c, d] = corners as [
    readonly [number, number],
    readonly [number, number],
    readonly [number, number],
    readonly [number, number],
  ];
  return (
    <g>
      <path
        d={`M${a} L${b} L${c} L${d} v${h} L${c[0]} ${c[1] + h} L${b[0]} ${b[1] + h} L${a[0]} ${a[1] + h} z`}
        fill={side}
        {...STROKE}
      />
      <path
        d={`M${a} L${b} L${c} L${d} L${x + r / 2} ${y - ry} L${x - r / 2} ${y - ry} z`}
        fill={top}
        {...STROKE}
      />
      {[b, c].map((corner) => (
        <line
          key={corner[0]}
          x1={corner[0]}
          x2={corner[0]}
          y1={corner[1]}
          y2={corner[1] + h}
          stroke="var(--draw)"
          strokeWidth={1.1}
        />
      ))}
      <ellipse cx={x} cy={y} rx={bore} ry={bore * TILT} fill={HOLE} />
    </g>
  );
}

/** A round section bent to a ring. */
export function Ring({ x, y, r, h, ink: [top, side] }: Solid) {
  const ry = r * TILT;
  const thick = Math.max(3.5, h);
  const cy = y + thick / 2;
  return (
    <g fill="none">
      <ellipse cx={x} cy={cy} rx={r} ry={ry} stroke="var(--draw)" strokeWidth={thick + 2.4} />
      <ellipse cx={x} cy={cy} rx={r} ry={ry} stroke={side} strokeWidth={thick} />
      <ellipse
        cx={x}
        cy={cy - thick * 0.2}
        rx={r}
        ry={ry}
        stroke={top}
        strokeOpacity={0.8}
        strokeWidth={thick * 0.3}
      />
    </g>
  );
}

export function Stem({ x, y, r, h, ink, thread = 0 }: Solid & { thread?: number }) {
  const turns = Math.max(0, Math.floor(thread / 5));
  return (
    <Turned x={x} y={y} r={r} h={h} ink={ink}>
      {Array.from({ length: turns }, (_, turn) => (
        <path
          key={turn}
          d={`M${x - r} ${y + h - thread + turn * 5} q${r} ${r * 0.6} ${2 * r} 2`}
          fill="none"
          stroke="var(--draw)"
          strokeOpacity={0.55}
        />
      ))}
    </Turned>
  );
}

export function Spring({ x, y, r, h, ink: [, side] }: Solid) {
  const coils = Math.max(3, Math.round(h / 9));
  return (
    <g fill="none" strokeLinecap="round">
      {["var(--draw)", side].map((stroke, pass) =>
        Array.from({ length: coils }, (_, coil) => (
          <path
            key={`${pass}-${coil}`}
            d={`M${x - r} ${y + (h * coil) / coils} a${r} ${r * TILT} 0 0 0 ${2 * r} ${(h / coils) * 0.5}`}
            stroke={stroke}
            strokeWidth={pass === 0 ? 4.4 : 2.4}
          />
        )),
      )}
    </g>
  );
}

/** Bolts standing on their circle; the near ones hide nothing, so the far ones are drawn first. */
export function Screws({ x, y, r, h, ink, count }: Solid & { count: number }) {
  const shown = Math.min(count, 12);
  const size =
    shown === 1 ? Math.max(4, Math.min(9, r, h * 0.4)) : Math.max(3, Math.min(7, r * 0.16, h * 0.35));
  const places = Array.from({ length: shown }, (_, index) => {
    const angle = (Math.PI * 2 * (index + 0.5)) / shown;
    const [across, deep] = onCircle(x, y, r - size, angle, TILT);
    return shown === 1 ? { x, y } : { x: across, y: deep };
  }).sort((a, b) => a.y - b.y);
  return (
    <g>
      {places.map((place) => (
        <g key={`${place.x} ${place.y}`}>
          <Stem
            x={place.x}
            y={place.y + size}
            r={size * 0.5}
            h={Math.max(6, h - size)}
            thread={Math.max(5, h * 0.5)}
            ink={ink}
          />
          <Hex x={place.x} y={place.y} r={size} h={size * 0.9} ink={ink} bore={size * 0.3} />
        </g>
      ))}
    </g>
  );
}
