"use client";

import type { Sheet } from "@/core/formats";
import type { SheetFigure } from "@/core/making";
import { Says } from "@/ui/kit/labelled";
import { TextField } from "@/ui/kit/text-field";
import { Panel } from "@/ui/page";
import { whereItStands } from "./where-it-stands";

const LONG = 40;

/** Threads, sizes of tools, sentences with a figure in them: each is read before the sheet is one's own. */
export function WordsWithFigures({
  sheet,
  figures,
  words,
  read,
  missing,
  onWords,
  onRead,
}: {
  sheet: Sheet;
  figures: readonly SheetFigure[];
  words: Readonly<Record<string, string>>;
  read: boolean;
  missing: boolean;
  onWords: (words: Readonly<Record<string, string>>) => void;
  onRead: (read: boolean) => void;
}) {
  const asked = figures.filter((figure) => figure.kind === "words");
  if (asked.length === 0) return null;
  return (
    <Panel title="Sizes and sentences with a figure in them" note={`${asked.length}`}>
      <p className="mb-3 text-soft">
        They are the template's. Write over each what it is with your model: threads, spanner sizes, weights.
      </p>
      <div className="grid gap-3 sm:grid-cols-2">
        {asked.map(({ key, says, at, places }) => (
          <div key={key} className={says.length > LONG ? "sm:col-span-2" : ""}>
            <TextField
              label={whereItStands(at, sheet)}
              mark={places > 1 ? `and at ${places - 1} more` : undefined}
              long={says.length > LONG * 2}
              maxLength={400}
              value={words[key] ?? says}
              error={(words[key] ?? says).trim() === "" ? "Write how it is with yours." : undefined}
              onChange={(to) => onWords({ [key]: to })}
            />
          </div>
        ))}
      </div>
      <label className="mt-4 flex min-h-12 items-center gap-3 font-semibold">
        <input
          type="checkbox"
          className="size-6 shrink-0 accent-ink"
          checked={read}
          onChange={(event) => onRead(event.target.checked)}
        />
        I have read each of these, and it is so with my model.
      </label>
      {missing && (
        <div data-unsaid>
          <Says error="Read them, and set the mark: a wrong size goes onto every card." />
        </div>
      )}
    </Panel>
  );
}
