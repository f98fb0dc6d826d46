import { useSpeaker } from "../use-speaker";
import { onCircle } from "./round";

/** The joint seen from above: bolts numbered in pulling order, a dot per pass outside each. */
export interface BoltCircleProps {
  readonly bolts: number;
  /** Places round the circle in pulling order. */
  readonly order: readonly number[];
  readonly passes: number;
  /** The last pass goes round in turn. */
  readonly circular: boolean;
  /** Bolts done in each pass, by pulling order. */
  readonly done: (pass: number, bolt: number) => boolean;
  readonly next?: { readonly pass: number; readonly bolt: number };
  readonly label: string;
  readonly onPull?: () => void;
}

const C = 175;
const CIRCLE = 104;

export function BoltCircle({ bolts, order, passes, circular, done, next, label, onPull }: BoltCircleProps) {
  const words = useSpeaker().say.drawing.bolts;
  const size = Math.min(25, (Math.PI * CIRCLE) / bolts / 1.45);
  const turn = circular && next?.pass === passes;
  // In the circular pass the bolts are taken as they stand, clockwise from the top.
  const numberAt = (place: number) => (turn ? place + 1 : order.indexOf(place) + 1);
  const placeOf = (number: number) => (turn ? number - 1 : order[number - 1]!);
  const at = (place: number, radius: number) => {
    const angle = -Math.PI / 2 + (place * 2 * Math.PI) / bolts;
    return onCircle(C, C, radius, angle);
  };
  const from = next !== undefined && next.bolt > 1 ? at(placeOf(next.bolt - 1), 66) : undefined;
  const to = next === undefined ? undefined : at(placeOf(next.bolt), 70);
  return (
    <svg
      viewBox="0 0 350 350"
      className="mx-auto block h-full max-h-[340px] w-full"
      role="img"
      aria-label={label}
    >
      <circle cx={C} cy={C} r={146} fill="var(--ink-iron)" stroke="var(--draw)" strokeWidth={1.6} />
      <circle cx={C} cy={C} r={146} fill="none" stroke="var(--ink-iron-deep)" strokeWidth={5} opacity={0.6} />
      <circle cx={C} cy={C} r={62} fill="var(--card)" stroke="var(--draw)" strokeWidth={1.6} />
      <circle
        cx={C}
        cy={C}
        r={CIRCLE}
        fill="none"
        stroke="var(--ink-centre)"
        strokeDasharray="12 4 3 4"
        strokeWidth={1.1}
      />
      {from !== undefined && to !== undefined && (
        <path d={`M${from} L${to}`} stroke="var(--ink)" strokeWidth={2.4} strokeDasharray="5 5" />
      )}
      {Array.from({ length: bolts }, (_, place) => {
        const number = numberAt(place);
        const [x, y] = at(place, CIRCLE);
        const isNext = next?.bolt === number;
        const isDone = next === undefined || done(next.pass, number);
        const hex = Array.from({ length: 6 }, (_each, corner) => {
          const angle = (corner * Math.PI) / 3;
          return onCircle(x, y, size, angle).join(",");
        }).join(" ");
        return (
          // biome-ignore lint/a11y/noStaticElementInteractions: the button below the picture does the same by keyboard
          <g
            key={place}
            onClick={isNext ? onPull : undefined}
            className={isNext && onPull ? "cursor-pointer" : undefined}
          >
            <circle
              cx={x}
              cy={y}
              r={size * 1.25}
              fill={isNext ? "var(--ink-lit)" : "var(--ink-washer)"}
              stroke="var(--ink-line)"
              strokeWidth={isNext ? 3 : 1.2}
            />
            <polygon
              points={hex}
              fill={isDone ? "var(--ink-done)" : isNext ? "var(--ink-lit-deep)" : "var(--ink-steel)"}
              stroke="var(--ink-line)"
              strokeWidth={1.5}
            />
            <text
              x={x}
              y={y + size * 0.36}
              textAnchor="middle"
              className="plate"
              fontSize={size}
              fill={isDone ? "var(--ink-white)" : "var(--ink-line)"}
            >
              {number}
            </text>
            {Array.from({ length: passes }, (_each, index) => {
              const spread = (index - (passes - 1) / 2) * 0.085;
              const angle = -Math.PI / 2 + (place * 2 * Math.PI) / bolts + spread;
              const passNumber = circular && index + 1 === passes ? place + 1 : order.indexOf(place) + 1;
              const [cx, cy] = onCircle(C, C, 160, angle);
              return (
                <circle
                  key={index}
                  cx={cx}
                  cy={cy}
                  r={5}
                  fill={done(index + 1, passNumber) ? "var(--go)" : "var(--card)"}
                  stroke="var(--ink)"
                  strokeWidth={1.2}
                />
              );
            })}
          </g>
        );
      })}
      <rect x={C - 50} y={C - 30} width={100} height={54} rx={6} fill="var(--card)" />
      <text x={C} y={C - 8} textAnchor="middle" className="plate" fontSize={22} fill="var(--ink)">
        {next === undefined ? words.all : words.pass(next.pass)}
      </text>
      <text x={C} y={C + 16} textAnchor="middle" className="plate" fontSize={17} fill="var(--soft)">
        {next === undefined ? "" : turn ? words.round : words.across}
      </text>
    </svg>
  );
}
