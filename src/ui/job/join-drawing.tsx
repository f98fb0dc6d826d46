import type { ReactNode } from "react";
import type { EndCondition } from "@/core/formats";
import { quantity, type Speaker, turnsInWords } from "@/words";
import { useSpeaker } from "../use-speaker";

type Kind = EndCondition["kind"] | "loose";

const INK = { stroke: "var(--draw)", strokeWidth: 1.4 };
const TURN = { fill: "none", stroke: "var(--ink)", strokeWidth: 2.6 };

/** Where tightening ends, as a little section: the screw, what it meets, how it turns, and when to stop. */
export function JoinDrawing({ end, loose }: { end: EndCondition; loose: boolean }) {
  const speaker = useSpeaker();
  const kind: Kind = loose ? "loose" : end.kind;
  return (
    <svg width={112} height={104} viewBox="0 0 112 104" aria-hidden="true" className="shrink-0">
      {SECTIONS[kind](end, speaker)}
    </svg>
  );
}

/** What is drawn for each end: a new kind of end is a new line here. */
const SECTIONS: Record<Kind, (end: EndCondition, speaker: Speaker) => ReactNode> = {
  loose: (_, { say }) => (
    <>
      <Screw gap={16} />
      <path d="M84 44v16M84 44l-4 5m4-5l4 5M84 60l-4-5m4 5l4-5" {...TURN} strokeWidth={1.8} />
      <Says x={92} y={57} text={say.card.ends.gap} />
    </>
  ),
  torque: () => (
    <>
      <Screw gap={0} />
      <Clockwise />
      {/* The wrench's arm and its scale. */}
      <path d="M58 18L104 8" stroke="var(--ink)" strokeWidth={5} strokeLinecap="round" />
      <path d="M88 3l16 8" stroke="var(--brass-line)" strokeWidth={3} />
    </>
  ),
  angle: (end) => (
    <>
      <Screw gap={0} />
      <Clockwise />
      <Says x={80} y={18} text={end.kind === "angle" ? `${end.fromContact_deg}°` : ""} big />
    </>
  ),
  "hand-tight": () => (
    <>
      <Screw gap={0} />
      <Clockwise />
      {/* Two fingers and a thumb on the head. */}
      <path
        d="M24 22q-8 8-2 20M26 42q-10 2-12-8M88 22q8 8 2 20"
        fill="none"
        stroke="var(--ink-cord)"
        strokeWidth={7}
        strokeLinecap="round"
      />
    </>
  ),
  snug: () => (
    <>
      <Screw gap={0} />
      <Clockwise />
      <path d="M56 22H98" stroke="var(--ink)" strokeWidth={4.5} strokeLinecap="round" />
      <Stop />
    </>
  ),
  flush: (_, { say }) => (
    <>
      <Screw sunk />
      <path d="M4 58H108" stroke="var(--stop)" strokeWidth={2} strokeDasharray="5 3" />
      <Says x={56} y={40} text={say.card.ends.flushShort} middle />
      <Stop />
    </>
  ),
  touch: () => (
    <>
      <Screw gap={0} />
      <Clockwise />
      <Stop />
    </>
  ),
  "touch-and-back-off": (end) => (
    <>
      <Screw gap={5} />
      <path d="M76 22a22 12 0 0 0 -40 0m0 0l9-3m-9 3l-3-9" {...TURN} />
      <Says
        x={82}
        y={22}
        text={end.kind === "touch-and-back-off" ? turnsInWords(end.backOff_turns) : ""}
        big
      />
    </>
  ),
  "seat-to-depth": (end, speaker) => (
    <>
      <Block />
      <rect x={34} y={58} width={44} height={28} fill="var(--sunk)" {...INK} />
      <rect x={34} y={72} width={44} height={14} fill="var(--ink-nitrile-deep)" {...INK} />
      <path d="M88 58h10M88 72h10M93 58v14" stroke="var(--stop)" strokeWidth={1.8} />
      <path
        d="M93 50v8m-3-4l3 4 3-4M93 80v-8m-3 4l3-4 3 4"
        fill="none"
        stroke="var(--stop)"
        strokeWidth={1.8}
      />
      <Says
        x={56}
        y={44}
        text={end.kind === "seat-to-depth" ? quantity(speaker, end.depth_mm / 1000, "length") : ""}
        middle
        big
      />
    </>
  ),
  "until-stop": () => (
    <>
      <Screw gap={0} />
      <Clockwise />
      <path d="M22 57h14M76 57h14" stroke="var(--stop)" strokeWidth={3} />
      <Stop />
    </>
  ),
  seated: () => (
    <>
      <Block />
      <path d="M30 58v14h52V58" fill="var(--sunk)" {...INK} />
      <circle cx={56} cy={62} r={9.5} fill="var(--ink-nitrile-deep)" {...INK} />
      <path d="M56 26v18m-5-6l5 7 5-7" {...TURN} />
    </>
  ),
  "to-ask-for": () => (
    <>
      <Screw gap={0} />
      <Says x={56} y={24} text="?" middle big />
    </>
  ),
};

function Block() {
  return (
    <>
      <rect x={8} y={58} width={96} height={38} rx={3} fill="var(--ink-iron)" {...INK} />
      <rect x={8} y={58} width={22} height={38} rx={3} fill="url(#hatch-iron)" opacity={0.5} />
      <rect x={82} y={58} width={22} height={38} rx={3} fill="url(#hatch-iron)" opacity={0.5} />
    </>
  );
}

/** A screw over its hole: the gap under its head, or sunk level with the face. */
function Screw({ gap = 0, sunk = false }: { gap?: number; sunk?: boolean }) {
  const head = sunk ? 58 : 34 - gap;
  const thread = Array.from({ length: 5 }, (_, turn) => head + 28 + turn * 6);
  return (
    <>
      <Block />
      <rect x={46} y={58} width={20} height={38} fill="var(--sunk)" />
      <rect x={47} y={head + 20} width={18} height={sunk ? 18 : 34} fill="var(--ink-steel)" {...INK} />
      {!sunk &&
        thread.map((y) => <path key={y} d={`M47 ${y}l18 -3`} stroke="var(--draw)" strokeOpacity={0.6} />)}
      <rect
        x={sunk ? 44 : 36}
        y={head}
        width={sunk ? 24 : 40}
        height={24}
        rx={2}
        fill="var(--ink-brass)"
        {...INK}
      />
    </>
  );
}

const Clockwise = () => <path d="M36 26a22 12 0 0 1 40 0m0 0l-9-3m9 3l3-9" {...TURN} />;

/** No further. */
const Stop = () => (
  <g transform="translate(98 32)">
    <path d="M-4 -9h8l6 6v8l-6 6h-8l-6-6v-8z" fill="var(--stop)" />
    <path d="M-5 0h10" stroke="var(--ink-white)" strokeWidth={2.6} />
  </g>
);

function Says({
  x,
  y,
  text,
  middle = false,
  big = false,
}: {
  x: number;
  y: number;
  text: string;
  middle?: boolean;
  big?: boolean;
}) {
  return (
    <text
      x={x}
      y={y}
      textAnchor={middle ? "middle" : "start"}
      className="plate"
      fontSize={big ? 21 : 14}
      fill="var(--ink)"
    >
      {text}
    </text>
  );
}
