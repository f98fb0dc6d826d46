import type { Step } from "@/core/job";
import { onCircle } from "./round";

type Drawn = NonNullable<Step["drawn"]>[number];

const SIZE = 112;
const C = SIZE / 2;
const RADIUS = 38;

/** Which way, how far, where to: one small drawing, readable at arm's length and in bad light. */
export function DrawnStep({ drawn, label }: { drawn: Drawn; label: string }) {
  return (
    <figure className="flex items-center gap-3 rounded border-[1.5px] border-rule bg-card p-2 pr-4">
      <svg viewBox={`0 0 ${SIZE} ${SIZE}`} className="size-24 shrink-0" aria-hidden="true">
        <Picture drawn={drawn} />
      </svg>
      <figcaption className="plate text-lead">{label}</figcaption>
    </figure>
  );
}

function Picture({ drawn }: { drawn: Drawn }) {
  switch (drawn.kind) {
    case "turn":
    case "stem":
      return <Turn {...drawn} />;
    case "lever":
      return <Lever from={drawn.from_deg} to={drawn.to_deg} />;
    case "arrow":
      return <Arrow to={drawn.to} />;
    case "clock":
      return <Clock at={drawn.at} />;
    case "face-up":
      return <FaceUp over={drawn.over === true} />;
    case "sets":
      return <Sets sets={drawn.sets} now={drawn.now} />;
  }
}

const radians = (degrees: number) => (degrees * Math.PI) / 180;

/** Three points of an arrow head that ends at `tip` and looks along `angle`. */
function head([x, y]: readonly [number, number], angle: number): string {
  const back = (turn: number) => [x - 16 * Math.cos(angle + turn), y - 16 * Math.sin(angle + turn)];
  return `M${back(0.5)} L${x},${y} L${back(-0.5)}`;
}

const STROKE = { fill: "none", stroke: "var(--ink)", strokeWidth: 5, strokeLinecap: "round" } as const;

/** As far as it is turned, most of a circle where nothing says how far; the count of turns or degrees stands in it. */
function Turn({ way, turns, degrees }: { way: "left" | "right"; turns?: number; degrees?: number }) {
  const far = degrees ?? 260;
  const begin = degrees === undefined ? (way === "right" ? -200 : 20) : -90;
  const end = begin + (way === "right" ? far : -far);
  const says = degrees === undefined ? turns : `${degrees}°`;
  const from = onCircle(C, C, RADIUS, radians(begin));
  const to = onCircle(C, C, RADIUS, radians(end));
  const hexagon = Array.from({ length: 6 }, (_, corner) => onCircle(C, C, 19, radians(60 * corner)).join());
  return (
    <>
      <polygon points={hexagon.join(" ")} fill="var(--ink-iron)" stroke="var(--draw)" strokeWidth={1.6} />
      <path
        d={`M${from} A${RADIUS},${RADIUS} 0 ${far > 180 ? 1 : 0} ${way === "right" ? 1 : 0} ${to}`}
        {...STROKE}
      />
      <path d={head(to, radians(end + (way === "right" ? 90 : -90)))} {...STROKE} />
      {degrees !== undefined && (
        <path d={`M${C},${C - 44} V${C - 22}`} stroke="var(--draw)" strokeWidth={2} strokeDasharray="3 3" />
      )}
      {says !== undefined && (
        <text
          x={C}
          y={C + 7}
          textAnchor="middle"
          className="plate"
          fontSize={`${says}`.length > 2 ? 15 : 20}
          fill="var(--ink)"
        >
          {says}
        </text>
      )}
    </>
  );
}

/** The pipe lies across the picture; the lever stands as it has to, and dashed as it stood. */
function Lever({ from, to }: { from: number | undefined; to: number }) {
  const bar = (degrees: number) => {
    const [x, y] = onCircle(C, C, 44, radians(-degrees));
    return `M${C},${C} L${x},${y}`;
  };
  const tip = onCircle(C, C, 30, radians(-to + (to > (from ?? 0) ? 12 : -12)));
  const start = from === undefined ? undefined : onCircle(C, C, 30, radians(-from));
  const sweep = from !== undefined && to > from ? 0 : 1;
  return (
    <>
      <rect x={2} y={C - 12} width={SIZE - 4} height={24} fill="var(--ink-iron)" stroke="var(--draw)" />
      {from !== undefined && (
        <path d={bar(from)} stroke="var(--draw)" strokeWidth={4} strokeDasharray="5 5" fill="none" />
      )}
      {start !== undefined && (
        <path
          d={`M${start} A30,30 0 0 ${sweep} ${tip}`}
          {...STROKE}
          strokeWidth={2.5}
          strokeDasharray="2 5"
        />
      )}
      <path d={bar(to)} {...STROKE} strokeWidth={9} />
      <circle cx={C} cy={C} r={9} fill="var(--card)" stroke="var(--ink)" strokeWidth={3} />
    </>
  );
}

/** With the flow along the pipe, or up, down and outwards. */
function Arrow({ to }: { to: "flow" | "up" | "down" | "outlet" }) {
  const angle = { flow: 0, outlet: 0, up: -90, down: 90 }[to];
  const tip = onCircle(C, C, 40, radians(angle));
  const tail = onCircle(C, C, 40, radians(angle + 180));
  return (
    <>
      {to === "flow" && (
        <rect x={2} y={C - 22} width={SIZE - 4} height={44} fill="var(--ink-iron)" stroke="var(--draw)" />
      )}
      {to === "outlet" && (
        <path d={`M${C},${C - 24} V${C + 24} M${C},${C} H${SIZE - 4}`} stroke="var(--draw)" strokeWidth={3} />
      )}
      {(to === "up" || to === "down") && (
        <path d={`M8,${to === "up" ? SIZE - 8 : 8} H${SIZE - 8}`} stroke="var(--draw)" strokeWidth={3} />
      )}
      <path d={`M${tail} L${tip}`} {...STROKE} strokeWidth={7} />
      <path d={head(tip, radians(angle))} {...STROKE} strokeWidth={7} />
    </>
  );
}

/** The body on the bench, the side that is up marked; an arrow over it where it has to be turned. */
function FaceUp({ over }: { over: boolean }) {
  return (
    <>
      <path d={`M6,${SIZE - 14} H${SIZE - 6}`} stroke="var(--draw)" strokeWidth={3} />
      <rect x={30} y={50} width={52} height={46} rx={4} fill="var(--ink-iron)" stroke="var(--draw)" />
      <rect x={30} y={46} width={52} height={9} fill="var(--ink)" />
      {over && (
        <>
          <path d={`M18,60 A40,40 0 0 1 94,60`} {...STROKE} strokeWidth={4} />
          <path d={head([94, 60], radians(75))} {...STROKE} strokeWidth={4} />
        </>
      )}
    </>
  );
}

const SIDE = { top: [C, 14], foot: [C, SIZE - 14], left: [16, C], right: [SIZE - 16, C] } as const;

/** The body from above with its sets of bolts; the one in hand is full, the hinge has a ring. */
function Sets({ sets, now }: Pick<Extract<Drawn, { kind: "sets" }>, "sets" | "now">) {
  return (
    <>
      <rect
        x={28}
        y={28}
        width={SIZE - 56}
        height={SIZE - 56}
        rx={8}
        fill="var(--ink-iron)"
        stroke="var(--draw)"
      />
      <circle cx={C} cy={C} r={18} fill="var(--sunk)" stroke="var(--draw)" />
      {sets.map(({ letter, at, hinge }) => {
        const [x, y] = SIDE[at];
        const held = letter === now;
        return (
          <g key={letter}>
            <circle
              cx={x}
              cy={y}
              r={13}
              fill={held ? "var(--ink)" : "var(--card)"}
              stroke="var(--ink)"
              strokeWidth={2}
            />
            {hinge === true && (
              <circle
                cx={x}
                cy={y}
                r={17}
                fill="none"
                stroke="var(--wait)"
                strokeWidth={2.5}
                strokeDasharray="4 3"
              />
            )}
            <text
              x={x}
              y={y + 6}
              textAnchor="middle"
              className="plate"
              fontSize={17}
              fill={held ? "var(--card)" : "var(--ink)"}
            >
              {letter}
            </text>
          </g>
        );
      })}
    </>
  );
}

/** A dial with the mark where it has to stand. */
function Clock({ at }: { at: number }) {
  const angle = radians(at * 30 - 90);
  const mark = onCircle(C, C, 32, angle);
  return (
    <>
      <circle cx={C} cy={C} r={46} fill="var(--ink-iron)" stroke="var(--draw)" strokeWidth={1.6} />
      {Array.from({ length: 12 }, (_, hour) => {
        const tick = radians(hour * 30);
        const from = onCircle(C, C, hour % 3 === 0 ? 36 : 40, tick);
        return (
          <path key={hour} d={`M${from} L${onCircle(C, C, 46, tick)}`} stroke="var(--draw)" strokeWidth={2} />
        );
      })}
      <path d={`M${C},${C} L${mark}`} {...STROKE} />
      <circle cx={mark[0]} cy={mark[1]} r={7} fill="var(--ink)" />
    </>
  );
}
