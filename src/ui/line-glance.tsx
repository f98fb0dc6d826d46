"use client";

import { useMemo } from "react";
import type { Line } from "@/core/formats";
import { LineDrawing } from "./draw/line-drawing";
import { lineView } from "./line-view";

/** Where a valve stands on its line, small. */
export function LineGlance({ line, target }: { line: Line; target: string }) {
  const view = useMemo(() => lineView(line, new Set(), undefined, { target }), [line, target]);
  return (
    <div className="h-[220px]">
      <LineDrawing {...view} />
    </div>
  );
}
