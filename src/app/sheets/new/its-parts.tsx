"use client";

import type { Sheet } from "@/core/formats";
import { PartIcon } from "@/ui/draw/part";
import { Panel } from "@/ui/page";

/** Which parts of its family it has. What holds pressure or a spring in is in every one of them. */
export function ItsParts({
  template,
  may,
  lacks,
  onToggle,
}: {
  template: Sheet;
  may: ReadonlySet<string>;
  lacks: readonly string[];
  onToggle: (part: string) => void;
}) {
  return (
    <Panel
      title="Which parts it has"
      note={`${template.parts.length - lacks.length} of ${template.parts.length}`}
    >
      <p className="mb-2 text-soft">
        Take the mark from what yours lacks. What holds pressure or a spring in is in every one. Names, and
        parts that this family does not have, are changed in the editor afterwards.
      </p>
      <ul className="grid gap-1 sm:grid-cols-2 xl:grid-cols-3">
        {template.parts.map((part) => {
          const has = !lacks.includes(part.id);
          return (
            <li key={part.id}>
              <label
                className={`flex min-h-12 items-center gap-3 rounded px-1 ${has ? "" : "text-soft line-through"}`}
              >
                <input
                  type="checkbox"
                  className="size-6 shrink-0 accent-ink"
                  checked={has}
                  disabled={!may.has(part.id)}
                  onChange={() => onToggle(part.id)}
                />
                <span aria-hidden className="shrink-0">
                  <PartIcon part={part} size={36} />
                </span>
                {part.quantity > 1 ? `${part.quantity} × ${part.name}` : part.name}
              </label>
            </li>
          );
        })}
      </ul>
    </Panel>
  );
}
