"use client";

import { X } from "lucide-react";

/** What the technician told of today, beside what the line knows. */
export interface Told {
  readonly avoid: readonly string[];
  readonly passing: readonly string[];
  readonly keep: readonly string[];
  readonly pumpedOut: readonly string[];
}
export const NOTHING_TOLD: Told = { avoid: [], passing: [], keep: [], pumpedOut: [] };

const TOLD_WORDS: Record<keyof Told, (name: string) => string> = {
  avoid: (name) => `avoid ${name}`,
  passing: (name) => `${name} passes`,
  keep: (name) => `keep ${name} in service`,
  pumpedOut: (name) => `${name} pumped out`,
};

/** What was told, each to be taken back. */
export function ToldChips({
  told,
  nodeName,
  onChange,
}: {
  told: Told;
  nodeName: (id: string) => string;
  onChange: (change: Partial<Told>) => void;
}) {
  const chips = (Object.keys(TOLD_WORDS) as (keyof Told)[]).flatMap((key) =>
    told[key].map((id) => ({ key, id })),
  );
  if (chips.length === 0) return null;
  return (
    <ul className="flex flex-wrap gap-2 px-4 pt-2">
      {chips.map(({ key, id }) => (
        <li key={key + id}>
          <button
            type="button"
            className="btn btn-quiet min-h-11! px-3! text-note!"
            onClick={() => onChange({ [key]: told[key].filter((each) => each !== id) })}
          >
            {TOLD_WORDS[key](nodeName(id))}
            <X size={16} aria-label="take back" />
          </button>
        </li>
      ))}
    </ul>
  );
}
