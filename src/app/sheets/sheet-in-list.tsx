"use client";

import { PartIcon } from "@/ui/draw/part";
import { PlainAxis } from "@/ui/plain-axis";
import { useSheet } from "@/ui/use-document";

const MOST_ICONS = 6;

/** The first parts of a sheet, drawn when they come into sight. */
export function SheetIcons({ id }: { id: string }) {
  const { ref, fetched } = useSheet(id);
  return (
    <div ref={ref} className="mt-2 flex min-h-[46px] flex-wrap gap-1" aria-hidden>
      {fetched.kind === "here" &&
        fetched.document.parts
          .slice(0, MOST_ICONS)
          .map((part) => <PartIcon key={part.id} part={part} size={46} />)}
    </div>
  );
}

/** A sheet's axis on the wall; all are fetched, for the wall is printed. */
export function SheetOnWall({ id }: { id: string }) {
  const { ref, fetched } = useSheet(id, true);
  return (
    <div ref={ref} className="min-h-[260px]">
      {fetched.kind === "here" && <PlainAxis sheet={fetched.document} form="narrow" />}
      {fetched.kind === "waiting" && (
        <p role="status" className="py-3 text-soft">
          Drawing it …
        </p>
      )}
      {fetched.kind === "none" && <p className="py-3 text-soft">It could not be fetched.</p>}
    </div>
  );
}
