"use client";

import { useMemo } from "react";
import type { Line } from "@/core/formats";
import { LineStill } from "./draw/line-drawing";
import { lineView } from "./line-view";

/** Where a valve stands on its line, small. */
export function LineGlance({ line, target }: { line: Line; target: string }) {
  const view = useMemo(() => lineView(line, { shut: new Set() }, undefined, { target }), [line, target]);
  return (
    <div className="h-[220px]">
      <LineStill view={view} />
    </div>
  );
}
