import type { ReactNode } from "react";
import type { Chapter } from "@/core/calculators";

const line = { fill: "none", stroke: "currentColor", strokeWidth: 2.4, strokeLinejoin: "round" } as const;

/** Own small drawings, 32 by 32: what a chapter of the bench book is about. */
const MARKS: Readonly<Record<Chapter, ReactNode>> = {
  "Bolts and threads": (
    <>
      <path d="M16 4l10.4 6v12L16 28L5.6 22V10z" {...line} />
      <circle cx={16} cy={16} r={5.5} {...line} />
    </>
  ),
  "Seals and fit": (
    <>
      <circle cx={16} cy={16} r={11.5} {...line} />
      <circle cx={16} cy={16} r={6.5} {...line} />
    </>
  ),
  "Water and fire": (
    <path
      d="M16 3c5 6.5 8.5 10.5 8.5 15.5a8.5 8.5 0 0 1-17 0C7.5 13.5 11 9.5 16 3zM11.5 19a4.5 4.5 0 0 0 4.5 4.5"
      {...line}
    />
  ),
  "Steam and heating": (
    <path d="M9 28c-4-5 4-7 0-12s2-8 2-12M18 28c-4-5 4-7 0-12s2-8 2-12M26 28c-3-5 3-7 0-12" {...line} />
  ),
  Refrigeration: <path d="M16 3v26M5 9.5l22 13M27 9.5l-22 13M12 5l4 4l4-4M12 27l4-4l4 4" {...line} />,
  "Water treatment": (
    <>
      <path d="M9 9a7 5 0 0 1 14 0v18a7 3 0 0 1-14 0zM16 4V1.5" {...line} />
      <path
        d="M12 18h.1M16 21h.1M20 18h.1M14 25h.1M18 25h.1M16 15h.1"
        {...line}
        strokeLinecap="round"
        strokeWidth={3.4}
      />
    </>
  ),
  "Irrigation and electrics": <path d="M3 20h4c0-9 5-9 5 0c0-9 5-9 5 0c0-9 5-9 5 0h4M3 26h26" {...line} />,
  Gas: (
    <path
      d="M16 29c-6 0-9-4-9-9c0-6 6-8 6-16c5 3 6 7 5 11c2-1 2.5-3 2.5-5c3 3 4.5 6 4.5 10c0 5-3 9-9 9z"
      {...line}
    />
  ),
  "Safety margins": <path d="M16 4l13 23H3zM16 12v8M16 23.5v.5" {...line} />,
  "Deciding and timing": (
    <>
      <circle cx={16} cy={16} r={12} {...line} />
      <path d="M16 8v8l6 4" {...line} />
    </>
  ),
};

export const ChapterMark = ({ chapter }: { chapter: Chapter }) => (
  <svg viewBox="0 0 32 32" className="h-7 w-7 shrink-0 text-brass" aria-hidden>
    {MARKS[chapter]}
  </svg>
);
