"use client";

import clsx from "clsx";
import { useSpeaker } from "../use-speaker";

/** What of a job is looked at where there is room for one thing. */
export type View = "step" | "axis" | "tray" | "line";

const ORDER: readonly View[] = ["step", "axis", "tray", "line"];

/** The view beside it, as they stand in a row; at either end it stays. */
export const next = (now: View, by: 1 | -1): View => ORDER[ORDER.indexOf(now) + by] ?? now;

/** The views of a job in the hand, below. */
export function Views({
  view,
  onView,
  onTray,
}: {
  view: View;
  onView: (view: View) => void;
  /** Parts that lie there. */
  onTray: number;
}) {
  const words = useSpeaker().say.card.views;
  return (
    <nav
      aria-label={words.title}
      className="plate grid grid-cols-4 border-rule border-t-[1.5px] bg-card text-center text-body lg:hidden"
    >
      {(
        [
          ["step", words.step],
          ["axis", words.axis],
          ["tray", `${words.tray} ${onTray || ""}`],
          ["line", words.line],
        ] as const
      ).map(([id, name]) => (
        <button
          key={id}
          type="button"
          aria-pressed={view === id}
          onClick={() => onView(id)}
          className={clsx(
            "min-h-13 py-3",
            view === id ? "text-ink shadow-[inset_0_3px_0_var(--brass-line)]" : "text-soft",
          )}
        >
          {name}
        </button>
      ))}
    </nav>
  );
}
