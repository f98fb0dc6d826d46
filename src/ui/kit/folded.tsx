"use client";

import { ChevronDown } from "lucide-react";
import { type ReactNode, useState } from "react";

/** What is long is folded on screen until it is asked for; on paper it stands whole. */
export function Folded({ title, says, children }: { title: string; says: string; children: ReactNode }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <h2>
        <button
          type="button"
          aria-expanded={open}
          onClick={() => setOpen(!open)}
          className="caption flex min-h-12 w-full items-center justify-between gap-3 text-left"
        >
          {title}
          <span className="no-print inline-flex items-center gap-1.5">
            {says}
            <ChevronDown size={18} aria-hidden="true" className={open ? "shrink-0 rotate-180" : "shrink-0"} />
          </span>
        </button>
      </h2>
      <div className={open ? "" : "hidden print:block"}>{children}</div>
    </>
  );
}
