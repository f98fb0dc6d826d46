import type { EndCondition } from "@/core/formats";

/** Where tightening ends, as a little section: a screw, what it meets, and how it turns. */
export function JoinDrawing({ end, loose }: { end: EndCondition; loose: boolean }) {
  const kind = loose ? "loose" : end.kind;
  const gap = kind === "loose" ? 14 : kind === "touch-and-back-off" ? 5 : 0;
  const flush = kind === "flush";
  const ring = kind === "seated";
  return (
    <svg width={92} height={92} viewBox="0 0 92 92" aria-hidden="true" className="shrink-0">
      <rect
        x={6}
        y={56}
        width={80}
        height={30}
        rx={3}
        fill="#C8C4BA"
        stroke="var(--draw)"
        strokeWidth={1.4}
      />
      {ring ? (
        <>
          <path d="M24 56v12h44v-12" fill="var(--sunk)" stroke="var(--draw)" strokeWidth={1.4} />
          <circle cx={46} cy={59} r={8} fill="#3F494F" stroke="var(--draw)" strokeWidth={1.4} />
        </>
      ) : (
        <g transform={`translate(0 ${flush ? 26 : -gap})`}>
          <rect
            x={38}
            y={46}
            width={16}
            height={34 - gap}
            fill="#E9ECEC"
            stroke="var(--draw)"
            strokeWidth={1.2}
          />
          <rect
            x={28}
            y={30}
            width={36}
            height={26}
            rx={2}
            fill="#EBD59B"
            stroke="var(--draw)"
            strokeWidth={1.4}
          />
        </g>
      )}
      {flush && <path d="M4 56H88" stroke="var(--stop)" strokeWidth={2} strokeDasharray="4 3" />}
      {kind === "touch-and-back-off" && (
        <path
          d="M30 20a20 12 0 0 1 32 0m0 0l-9-2m9 2l2-9"
          fill="none"
          stroke="var(--ink)"
          strokeWidth={2.6}
          transform="matrix(-1 0 0 1 92 0)"
        />
      )}
      {(kind === "torque" ||
        kind === "snug" ||
        kind === "hand-tight" ||
        kind === "until-stop" ||
        kind === "angle") && (
        <path
          d="M30 20a20 12 0 0 1 32 0m0 0l-9-2m9 2l2-9"
          fill="none"
          stroke="var(--ink)"
          strokeWidth={2.6}
        />
      )}
    </svg>
  );
}
