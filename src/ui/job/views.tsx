"use client";

import clsx from "clsx";

/** What of a job is looked at where there is room for one thing. */
export type View = "step" | "axis" | "tray" | "line";

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
  return (
    <nav
      aria-label="Views of the job"
      className="plate grid grid-cols-4 border-rule border-t-[1.5px] bg-card text-center text-body lg:hidden"
    >
      {(
        [
          ["step", "Step"],
          ["axis", "Axis"],
          ["tray", `Tray ${onTray || ""}`],
          ["line", "Line"],
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
