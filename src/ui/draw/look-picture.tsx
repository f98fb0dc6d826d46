import type { LookDrawing } from "@/core/formats";

/** Where on the scene the eye goes for each look: centre of the ring. */
const AT: Readonly<Record<LookDrawing, readonly [x: number, y: number]>> = {
  stop: [140, 84],
  gauge: [212, 66],
  meter: [318, 38],
  power: [486, 34],
  outlet: [470, 104],
  inside: [306, 92],
  ear: [306, 58],
  warmth: [398, 104],
  leak: [306, 128],
  ask: [486, 34],
  neighbour: [66, 34],
  test: [306, 92],
};

const EDGE = { stroke: "var(--draw-edge)", strokeWidth: 1.4 } as const;

/** The valve in its pipe, with what feeds it, what commands it, who hangs beside it; and a ring where to look. */
export function LookPicture({ drawn }: { drawn: LookDrawing }) {
  const [x, y] = AT[drawn];
  const open = drawn === "inside";
  return (
    <svg viewBox="0 0 580 160" className="h-[132px] w-full" aria-hidden="true">
      <Pipes />
      <Stop />
      <Gauge />
      <Body open={open} />
      <Board />
      <Ring x={x} y={y} />
      <Glyph drawn={drawn} x={x} y={y} />
    </svg>
  );
}

/** Fed from the left, a branch to a neighbour, the far side to the right. */
function Pipes() {
  return (
    <g>
      <path d="M66 104V52" {...EDGE} strokeWidth={17} fill="none" />
      <path d="M66 104V52" stroke="var(--live)" strokeWidth={14} fill="none" />
      <path d="M10 104H262" {...EDGE} strokeWidth={27} fill="none" />
      <path d="M10 104H262" stroke="var(--live)" strokeWidth={24} fill="none" />
      <path d="M350 104H570" {...EDGE} strokeWidth={27} fill="none" strokeLinejoin="round" />
      <path d="M350 104H570" stroke="var(--pipe-empty)" strokeWidth={24} fill="none" strokeLinejoin="round" />
      <path d="M54 52H78L72 34H60Z" fill="var(--ink-brass)" {...EDGE} />
      <path d="M52 30H80" stroke="var(--ink-brass-deep)" strokeWidth={6} strokeLinecap="round" />
    </g>
  );
}

function Stop() {
  return (
    <g>
      <rect x={122} y={88} width={36} height={32} rx={4} fill="var(--ink-brass)" {...EDGE} />
      <rect x={135} y={70} width={10} height={18} fill="var(--ink-brass-deep)" {...EDGE} />
      <path d="M118 68H162" stroke="var(--ink-brass-deep)" strokeWidth={8} strokeLinecap="round" />
    </g>
  );
}

function Gauge() {
  return (
    <g>
      <path d="M212 92V78" {...EDGE} strokeWidth={5} />
      <circle cx={212} cy={64} r={16} fill="var(--card)" {...EDGE} />
      <path d="M212 64L221 56" stroke="var(--draw-edge)" strokeWidth={2} strokeLinecap="round" />
    </g>
  );
}

/** The valve: body, cover with its bolts, and what moves it on top. */
function Body({ open }: { open: boolean }) {
  const lift = open ? -26 : 0;
  return (
    <g>
      <ellipse cx={306} cy={126} rx={52} ry={11} fill="var(--ink-iron-deep)" {...EDGE} />
      <path d="M254 82V126A52 11 0 0 0 358 126V82Z" fill="var(--ink-iron-deep)" {...EDGE} />
      <ellipse cx={306} cy={82} rx={52} ry={11} fill="var(--ink-iron)" {...EDGE} />
      {open && <ellipse cx={306} cy={82} rx={30} ry={6} fill="var(--ink-nitrile)" {...EDGE} />}
      <g transform={`translate(0 ${lift})`}>
        <ellipse cx={306} cy={76} rx={50} ry={10} fill="var(--ink-iron)" {...EDGE} />
        {[-36, -14, 14, 36].map((at) => (
          <ellipse key={at} cx={306 + at} cy={76} rx={3.4} ry={1.8} fill="var(--draw-edge)" />
        ))}
        <path d="M286 48V74A20 4 0 0 0 326 74V48Z" fill="var(--ink-plastic-deep)" {...EDGE} />
        <ellipse cx={306} cy={48} rx={20} ry={4.5} fill="var(--ink-plastic)" {...EDGE} />
        <path d="M326 56C372 50 400 34 452 34" fill="none" stroke="var(--draw-edge)" strokeWidth={2.4} />
      </g>
    </g>
  );
}

/** What commands or feeds it. */
function Board() {
  return (
    <g>
      <rect x={452} y={12} width={68} height={46} rx={5} fill="var(--sunk)" {...EDGE} />
      <rect x={460} y={20} width={30} height={14} rx={2} fill="var(--card)" {...EDGE} />
      <circle cx={504} cy={27} r={4} fill="var(--go)" {...EDGE} />
      {[462, 474, 486, 498].map((at) => (
        <rect key={at} x={at} y={42} width={8} height={8} rx={1.5} fill="var(--card)" {...EDGE} />
      ))}
    </g>
  );
}

const Ring = ({ x, y }: { x: number; y: number }) => (
  <circle
    cx={x}
    cy={y}
    r={31}
    fill="var(--brass-bg)"
    fillOpacity={0.62}
    stroke="var(--brass-line)"
    strokeWidth={2.2}
    strokeDasharray="6 4"
  />
);

/** What one does there, drawn large in the ring. */
function Glyph({ drawn, x, y }: { drawn: LookDrawing; x: number; y: number }) {
  return (
    <g
      transform={`translate(${x} ${y})`}
      fill="none"
      stroke="var(--ink)"
      strokeWidth={3}
      strokeLinecap="round"
      strokeLinejoin="round"
    >
      <path d={STROKES[drawn]} />
    </g>
  );
}

const STROKES: Readonly<Record<LookDrawing, string>> = {
  // A handle across the pipe, and its stem.
  stop: "M-16 -4H16M0 -4V14M-9 14H9",
  gauge: "M-14 6A15 15 0 1 1 14 6M0 2L8 -7M-14 6H-10M14 6H10",
  meter: "M-14 -8V2A6 6 0 0 0 -2 2V-8M2 -8H16V12H2ZM6 -2H12",
  power: "M3 -16L-9 3H2L-3 17L10 -4H-1Z",
  outlet: "M0 -14C7 -4 10 1 10 6A10 10 0 0 1 -10 6C-10 1 -7 -4 0 -14Z",
  inside: "M-16 0C-8 -12 8 -12 16 0C8 12 -8 12 -16 0ZM-5 0A5 5 0 1 0 5 0A5 5 0 1 0 -5 0",
  ear: "M-8 6C-14 -6 -6 -16 3 -14C12 -12 12 -1 5 4C1 7 3 13 -2 15C-6 16 -8 13 -8 10M-3 -3C-2 -8 5 -7 4 -2",
  warmth: "M-4 4V-12A4 4 0 0 1 4 -12V4A8 8 0 1 1 -4 4ZM0 -6V9",
  leak: "M-8 -14C-4 -8 -2 -5 -2 -2A6 6 0 0 1 -14 -2C-14 -5 -12 -8 -8 -14ZM8 -4C12 2 14 5 14 8A6 6 0 0 1 2 8C2 5 4 2 8 -4Z",
  ask: "M-8 -6A8 8 0 1 1 0 4V8M0 14V14.2",
  neighbour: "M-14 2L0 -12L14 2M-9 -2V13H9V-2M-2 13V5H3V13",
  test: "M-14 1L-4 11L15 -11",
};
