import type { Part } from "@/core/formats";

/** It goes one way; it carries a scratch line; it stays dry. */
export function Marks({ part, x, middle }: { part: Part; x: number; middle: number }) {
  const marked = part.ways.some((way) => way.marks !== undefined);
  const dry = part.fit?.surface?.kind === "dry" || part.dryByDesign !== undefined;
  return (
    <g>
      {part.fit?.orientation !== undefined && (
        <path
          d={`M${x - 12} ${middle - 9} l5 8 h-3 v9 h-4 v-9 h-3 z`}
          fill="var(--cold)"
          stroke="var(--card)"
          strokeWidth={0.8}
        />
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

/** What the small marks beside the parts mean. */
export function AxisKey() {
  return (
    <ul className="flex flex-wrap gap-x-4 gap-y-1 text-note text-soft">
      <li>
        <span className="text-cold">⬆</span> goes in one way
      </li>
      <li>
        <span className="text-stop">┆</span> mark across the joint
      </li>
      <li>
        <svg width={14} height={14} viewBox="-7 -7 14 14" aria-hidden="true" className="inline">
          <Dry />
        </svg>{" "}
        stays dry
      </li>
      <li>
        <span className="text-stop">▶</span> the odd one
      </li>
    </ul>
  );
}
