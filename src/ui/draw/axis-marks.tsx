import type { ReactNode } from "react";
import type { Part } from "@/core/formats";

/** How a part that goes in one way only has to point, as far as a drawing can say it. */
type OnlyWay = "up" | "down" | "along" | "one";

function wayOf({ fit }: Part): OnlyWay | undefined {
  const to = fit?.points?.kind === "arrow" ? fit.points.to : undefined;
  if (to === "up" || to === "down") return to;
  if (to !== undefined) return "along";
  return fit?.orientation === undefined ? undefined : "one";
}

const TURNED = { up: 0, along: 90, down: 180 } as const;

/** An arrow where it points; a face with a key where the words have to say how. */
function OneWay({ way }: { way: OnlyWay }) {
  const paint = { fill: "var(--cold)", stroke: "var(--card)", strokeWidth: 0.8 };
  return way === "one" ? (
    <path d="M-4 -5 h8 v5 a4 5 0 0 1 -8 0 z" {...paint} />
  ) : (
    <path d="M0 -9 l5 8 h-3 v9 h-4 v-9 h-3 z" transform={`rotate(${TURNED[way]})`} {...paint} />
  );
}

/** It goes one way; it carries a scratch line; it stays dry. */
export function Marks({ part, x, middle }: { part: Part; x: number; middle: number }) {
  const marked = part.ways.some((way) => way.marks !== undefined);
  const way = wayOf(part);
  const dry = part.fit?.surface?.kind === "dry" || part.dryByDesign !== undefined;
  return (
    <g>
      {way !== undefined && (
        <g transform={`translate(${x - 12} ${middle})`}>
          <OneWay way={way} />
        </g>
      )}
      {marked && (
        <path
          d={`M${x + 3} ${middle - 7} v16`}
          stroke="var(--stop)"
          strokeWidth={2.4}
          strokeDasharray="4 2"
        />
      )}
      {dry && (
        <g transform={`translate(${x - 12} ${middle + 15})`}>
          <Dry />
        </g>
      )}
    </g>
  );
}

/** A drop, struck out. */
function Dry() {
  return (
    <>
      <path d="M0 -5 q5 6 0 8 q-5 -2 0 -8" fill="var(--card)" stroke="var(--ink)" strokeWidth={1.2} />
      <path d="M-5 4 L5 -5" stroke="var(--stop)" strokeWidth={1.8} />
    </>
  );
}

const Sign = ({ children }: { children: ReactNode }) => (
  <svg width={18} height={18} viewBox="-10 -10 20 20" aria-hidden="true" className="inline">
    {children}
  </svg>
);

/** What the small marks beside the parts mean. */
export function AxisKey() {
  return (
    <ul className="flex flex-wrap gap-x-4 gap-y-1 text-note text-soft">
      <li>
        <Sign>
          <OneWay way="up" />
        </Sign>{" "}
        this face up, or down
      </li>
      <li>
        <Sign>
          <OneWay way="along" />
        </Sign>{" "}
        along the flow
      </li>
      <li>
        <Sign>
          <OneWay way="one" />
        </Sign>{" "}
        goes in one way
      </li>
      <li>
        <span className="text-stop">┆</span> mark across the joint
      </li>
      <li>
        <Sign>
          <Dry />
        </Sign>{" "}
        stays dry
      </li>
      <li>
        <span className="text-stop">▶</span> the odd one
      </li>
    </ul>
  );
}
