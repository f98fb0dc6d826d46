import type { JSX } from "react";
import type { Grade, Rubric } from "@/core/formats";
import { onCircle } from "./round";

const EDGE = { stroke: "var(--draw)", strokeWidth: 1.4, strokeLinejoin: "round" as const };
const HURT = { stroke: "var(--stop)", fill: "none", strokeWidth: 2.2, strokeLinecap: "round" as const };
const TRACE = { stroke: "var(--draw)", fill: "none", strokeWidth: 1, strokeLinecap: "round" as const };
const RUBBER = "var(--ink-epdm)";
const METAL = "var(--ink-steel)";
const HOLE = "var(--ink-hole)";

/** So much of what stands for wear is drawn. */
const amount = (grade: Grade, marginal: number, gone: number): number =>
  grade === "good" ? 0 : grade === "marginal" ? marginal : gone;

const times = (count: number, draw: (index: number) => JSX.Element): JSX.Element[] =>
  Array.from({ length: count }, (_, index) => draw(index));

/** The working edge of a lip, cut: smooth, nicked, frayed. */
function Lip({ grade }: { grade: Grade }) {
  const edge = {
    good: "L78 32",
    marginal: "L70 27 L73 32 L78 33",
    gone: "L62 22 L66 28 L58 27 L65 33 L56 35 L66 39 L60 42",
  }[grade];
  return (
    <g>
      <path d={`M14 12 H42 ${edge} L42 52 H14 Z`} fill={RUBBER} {...EDGE} />
      <path d="M84 6V58" {...TRACE} strokeDasharray="5 3" />
      {grade === "gone" && <path d="M62 22 L56 35 M66 28 L60 42" {...HURT} />}
      {grade === "marginal" && <path d="M70 27 L73 32" {...HURT} />}
    </g>
  );
}

/** A ring from above with its section beside it: round, flattened, cut. */
function RingWorn({ grade }: { grade: Grade }) {
  return (
    <g>
      <circle cx={34} cy={32} r={22} fill="none" stroke={RUBBER} strokeWidth={9} />
      <circle cx={34} cy={32} r={26.5} fill="none" {...EDGE} />
      <circle cx={34} cy={32} r={17.5} fill="none" {...EDGE} />
      <ellipse cx={78} cy={32} rx={10} ry={grade === "good" ? 10 : 6.5} fill={RUBBER} {...EDGE} />
      {grade !== "good" && <path d="M66 25.5H90M66 38.5H90" {...TRACE} strokeDasharray="3 2" />}
      {grade === "gone" && <path d="M50 12 L58 22 M53 20 L60 14" {...HURT} />}
    </g>
  );
}

/** A sealing face from above: whole, marked, cut across. */
function Face({ grade }: { grade: Grade }) {
  return (
    <g>
      <circle cx={48} cy={32} r={27} fill={METAL} {...EDGE} />
      <circle cx={48} cy={32} r={13} fill={HOLE} {...EDGE} />
      {grade !== "good" && <circle cx={48} cy={32} r={20} {...TRACE} strokeDasharray="14 5" />}
      {grade === "gone" && <path d="M60 24 L74 17 M59 41 L71 49" {...HURT} />}
    </g>
  );
}

/** Lines along a face that something slides on. */
const scratches = (grade: Grade, from: number, to: number, top: number, room: number) =>
  times(amount(grade, 2, 5), (index) => (
    <path
      key={index}
      d={`M${from + index * 3} ${top + ((index + 1) * room) / 6} H${to - index * 5}`}
      {...(grade === "gone" && index % 2 === 0 ? HURT : TRACE)}
    />
  ));

function Bore({ grade }: { grade: Grade }) {
  return (
    <g>
      <path d="M8 6H88V17H8Z M8 47H88V58H8Z" fill={METAL} {...EDGE} />
      <path d="M8 17H88V47H8Z" fill={HOLE} opacity={0.25} />
      {scratches(grade, 18, 82, 17, 30)}
    </g>
  );
}

function StemWorn({ grade }: { grade: Grade }) {
  return (
    <g>
      <rect x={8} y={21} width={80} height={22} rx={3} fill={METAL} {...EDGE} />
      <path d="M26 21V43" {...TRACE} />
      {scratches(grade, 30, 84, 21, 22)}
    </g>
  );
}

function BallWorn({ grade }: { grade: Grade }) {
  return (
    <g>
      <circle cx={48} cy={32} r={27} fill={METAL} {...EDGE} />
      <ellipse cx={48} cy={32} rx={9} ry={13} fill={HOLE} {...EDGE} />
      {times(amount(grade, 1, 3), (index) => (
        <path
          key={index}
          d={`M${60 + index * 3} ${18 + index * 8} q6 4 ${8 - index} ${10 - index}`}
          {...(grade === "gone" ? HURT : TRACE)}
        />
      ))}
    </g>
  );
}

function DiaphragmWorn({ grade }: { grade: Grade }) {
  return (
    <g>
      <path
        d="M6 26 H18 C28 26 28 46 38 46 H58 C68 46 68 26 78 26 H90 V32 H78 C70 32 70 52 58 52 H38 C26 52 26 32 18 32 H6 Z"
        fill={RUBBER}
        {...EDGE}
      />
      {grade !== "good" && <path d="M26 33 L31 38 M70 33 L65 38" {...(grade === "gone" ? HURT : TRACE)} />}
      {grade === "gone" && <path d="M22 24 L34 46 M26 44 L33 32" {...HURT} />}
    </g>
  );
}

function SpringWorn({ grade }: { grade: Grade }) {
  const turns = 6;
  const pitch = grade === "marginal" ? 6.5 : 9;
  const top = 60 - turns * pitch;
  return (
    <g>
      <path d="M14 60H82" {...EDGE} />
      {times(turns, (index) => {
        const y = top + index * pitch;
        const broken = grade === "gone" && index === 2;
        return (
          <path
            key={index}
            d={`M30 ${y + pitch} L66 ${broken ? y + 4 : y}`}
            {...(broken ? HURT : EDGE)}
            strokeWidth={3}
          />
        );
      })}
      {grade === "marginal" && <path d="M24 6V20M20 16L24 21L28 16" {...TRACE} />}
    </g>
  );
}

/** Small holes against the light: clear, some shut, most shut. */
function Holes({ grade }: { grade: Grade }) {
  const shut = amount(grade, 4, 12);
  return (
    <g>
      <rect x={10} y={6} width={76} height={52} rx={5} fill={METAL} {...EDGE} />
      {times(15, (index) => (
        <circle
          key={index}
          cx={22 + (index % 5) * 13}
          cy={17 + Math.floor(index / 5) * 15}
          r={4}
          fill={(index * 7) % 15 < shut ? "var(--draw)" : "var(--brass-bg)"}
          {...EDGE}
        />
      ))}
    </g>
  );
}

function ThreadWorn({ grade }: { grade: Grade }) {
  const flat = amount(grade, 1, 4);
  const teeth = times(7, (index) => <g key={index} />).map((_, index) =>
    index > 1 && index - 2 < flat
      ? `L${20 + index * 9} 40 L${24 + index * 9} 44`
      : `L${20 + index * 9} 24 L${24 + index * 9} 44`,
  );
  return (
    <g>
      <path d={`M12 44 ${teeth.join(" ")} L88 58 H12 Z`} fill={METAL} {...EDGE} />
      {grade === "gone" && <path d="M36 38H66" {...HURT} />}
    </g>
  );
}

function PackingWorn({ grade }: { grade: Grade }) {
  return (
    <g>
      {times(3, (index) => (
        <rect
          key={index}
          x={24}
          y={8 + index * 17}
          width={48}
          height={grade === "good" ? 15 : 10}
          rx={grade === "gone" ? 1 : 6}
          fill="var(--ink-graphite)"
          {...EDGE}
        />
      ))}
      {grade !== "good" && <path d="M30 12H66M30 29H66" {...TRACE} stroke="var(--card)" />}
      {grade === "gone" &&
        times(7, (index) => {
          const [cx, cy] = onCircle(48, 54, 16 + (index % 3) * 3, index * 0.9);
          return <circle key={index} cx={cx} cy={Math.min(60, Math.abs(cy))} r={2} fill="var(--stop)" />;
        })}
    </g>
  );
}

const DRAWN: Record<Rubric, (props: { grade: Grade }) => JSX.Element> = {
  lip: Lip,
  ring: RingWorn,
  face: Face,
  bore: Bore,
  stem: StemWorn,
  ball: BallWorn,
  diaphragm: DiaphragmWorn,
  spring: SpringWorn,
  holes: Holes,
  thread: ThreadWorn,
  packing: PackingWorn,
};

/** What a part looks like that is good, marginal or gone: the words of its answer say it, the picture shows it. */
export function Wear({ rubric, grade }: { rubric: Rubric; grade: Grade }) {
  const Drawn = DRAWN[rubric];
  return (
    <svg width={96} height={64} viewBox="0 0 96 64" aria-hidden="true" className="shrink-0 rounded bg-card">
      <Drawn grade={grade} />
    </svg>
  );
}
