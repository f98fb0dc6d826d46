"use client";

import { createContext, useContext } from "react";
import { TextField } from "@/ui/kit/text-field";

/** A valve of the register, as far as the editor of a line has to know it. */
export interface KnownTag {
  readonly tag: string;
  readonly name: string;
  /** The line it stands on now. */
  readonly line: string | undefined;
}

export const KnownTags = createContext<readonly KnownTag[]>([]);

/** Which valve of the register stands here: offered as one types; what is not there is said, and so is what moves. */
export function TagField({
  value,
  line,
  onChange,
}: {
  value: string | undefined;
  /** The line that is edited. */
  line: string;
  onChange: (tag: string | undefined) => void;
}) {
  const tags = useContext(KnownTags);
  const known = tags.find(({ tag }) => tag === value);
  return (
    <TextField
      label="Tag of the valve here"
      value={value ?? ""}
      offered={tags.map(({ tag, name }) => ({ value: tag, says: name }))}
      hint={hintOf(value, known, line)}
      onChange={(text) => onChange(text.trim() === "" ? undefined : text.trim())}
    />
  );
}

function hintOf(value: string | undefined, known: KnownTag | undefined, line: string): string {
  if (value === undefined) return "If one stands here: it is put on this line with it.";
  if (known === undefined)
    return "No valve of the register has this tag yet. Save the line, then register it from the line’s page.";
  return known.line === undefined || known.line === line
    ? `${known.name}. It stands here once the line is saved.`
    : `${known.name}. It stands on another line now, and moves here when this one is saved.`;
}
