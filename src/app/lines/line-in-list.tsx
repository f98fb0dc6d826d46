"use client";

import { LineGlance } from "@/ui/line-glance";
import { useLine } from "@/ui/use-document";

/** A line drawn small, fetched when it comes into sight: the list itself stays light however many there are. */
export function LineInList({ id }: { id: string }) {
  const { ref, fetched } = useLine(id);
  return (
    <div ref={ref} className="min-h-[220px]">
      {fetched.kind === "here" && <LineGlance line={fetched.document} target="" />}
      {fetched.kind === "waiting" && (
        <p role="status" className="px-1 py-3 text-soft">
          Drawing it …
        </p>
      )}
      {fetched.kind === "none" && <p className="px-1 py-3 text-soft">It could not be fetched.</p>}
    </div>
  );
}
