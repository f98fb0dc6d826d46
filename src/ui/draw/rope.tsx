/** A knot on the rope: what rings, and when. */
export interface Knot {
  readonly id: string;
  readonly when: string;
  readonly lines: readonly string[];
  readonly tone: "stop" | "wait" | "due" | "later";
  readonly href: string;
}

const INK: Record<Knot["tone"], { knot: string; text: string }> = {
  stop: { knot: "var(--ink-rope-stop)", text: "var(--ink-rope-stop-text)" },
  wait: { knot: "var(--ink-rope-wait)", text: "var(--ink-rope-wait-text)" },
  due: { knot: "var(--ink-rope-due)", text: "var(--ink-rope-text)" },
  later: { knot: "var(--ink-rope-later)", text: "var(--ink-rope-text)" },
};
const PITCH = 92;
const FIRST = 140;

export function BellShape({ ringing }: { ringing: boolean }) {
  return (
    <g className={ringing ? "swings" : undefined} transform={ringing ? "rotate(-9 52 22)" : undefined}>
      <circle cx={52} cy={71} r={7} fill="var(--ink-clapper)" stroke="var(--ink-line)" strokeWidth={1.4} />
      <path
        d="M52 20c14 0 17 14 18 28c.6 9 3 12 8 17h-52c5-5 7.4-8 8-17c1-14 4-28 18-28z"
        fill="var(--ink-rope-due)"
        stroke="var(--ink-line)"
        strokeWidth={1.6}
      />
      <path
        d="M52 12a6 6 0 0 1 6 9h-12a6 6 0 0 1 6-9z"
        fill="var(--ink-strand)"
        stroke="var(--ink-line)"
        strokeWidth={1.2}
      />
      <path
        d="M38 50c1-13 3-20 8-23"
        stroke="var(--ink-shine)"
        strokeWidth={2.6}
        fill="none"
        strokeLinecap="round"
      />
      <path d="M27 62.5h50" stroke="var(--ink-line)" strokeWidth={1.2} opacity={0.6} />
    </g>
  );
}

/** The rope with its bell and a knot for each thing that rings, nearest first. */
export function Rope({ knots, ringing }: { knots: readonly Knot[]; ringing: boolean }) {
  const line = "M52 74C52 100 20 92 20 122V4000";
  return (
    <div className="relative h-full overflow-hidden">
      <svg width={104} height={4000} className="absolute inset-0" aria-hidden="true">
        <path d={line} stroke="var(--ink-line)" strokeWidth={9.5} fill="none" />
        <path d={line} stroke="var(--ink-strand)" strokeWidth={7} fill="none" />
        <path
          d={line}
          stroke="var(--ink-strand-deep)"
          strokeWidth={7}
          fill="none"
          strokeDasharray="1.6 6.4"
          opacity={0.75}
        />
        <BellShape ringing={ringing} />
        {knots.map((knot, index) => {
          const y = FIRST + index * PITCH;
          return (
            <g key={knot.id}>
              <rect
                x={11}
                y={y - 7}
                width={18}
                height={14}
                rx={6}
                fill={INK[knot.tone].knot}
                stroke="var(--ink-line)"
                strokeWidth={1.4}
              />
              <path
                d={`M11 ${y - 2}q9 6 18 0M11 ${y + 3}q9 5 18 0`}
                stroke="var(--ink-line)"
                strokeWidth={0.9}
                fill="none"
              />
            </g>
          );
        })}
      </svg>
      <ol>
        {knots.map((knot, index) => (
          <li
            key={knot.id}
            className="absolute right-0 left-9"
            style={{ top: FIRST + index * PITCH - 14, height: PITCH - 8 }}
          >
            <a href={knot.href} className="plate block h-full overflow-hidden leading-[1.05]">
              <span
                className="block text-lead"
                style={{ color: INK[knot.tone].text }}
                suppressHydrationWarning
              >
                {knot.when}
              </span>
              {knot.lines.map((text) => (
                <span
                  key={text}
                  className="block break-words font-medium text-fine tracking-normal"
                  style={{ color: "var(--ink-rope-soft)" }}
                >
                  {text}
                </span>
              ))}
            </a>
          </li>
        ))}
      </ol>
    </div>
  );
}
