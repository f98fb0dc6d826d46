"use client";

import { Plus, X } from "lucide-react";
import { type ReactNode, useState } from "react";
import { Says } from "../kit/labelled";
import { type Option, SelectField } from "../kit/select-field";
import { TextField } from "../kit/text-field";
import { IconButton } from "./list";

/** Entries by name: each has its own field, and may be taken away; a new one is added by its name. */
export function MapField({
  label,
  hint,
  messages,
  value,
  choices,
  blank,
  onChange,
  children,
}: {
  label: string;
  hint: string | undefined;
  messages: readonly string[];
  value: Readonly<Record<string, unknown>>;
  /** What an entry may be of; any name where nobody knows. */
  choices: readonly Option[] | undefined;
  blank: () => unknown;
  onChange: (value: Readonly<Record<string, unknown>>) => void;
  /** The field of one entry. */
  children: (key: string, label: string, each: unknown) => ReactNode;
}) {
  const [added, setAdded] = useState("");
  const left = choices?.filter(({ id }) => value[id] === undefined);
  const add = (key: string) => {
    if (key.trim() === "" || value[key.trim()] !== undefined) return;
    onChange({ ...value, [key.trim()]: blank() });
    setAdded("");
  };
  return (
    <fieldset className="rounded border-rule border-l-[4px] pl-3">
      <legend className="font-semibold">{label}</legend>
      <Says hint={hint} error={messages.length > 0 ? messages.join(" ") : undefined} />
      <ul className="mt-1 flex flex-col gap-2">
        {Object.entries(value).map(([key, each]) => {
          const name = choices?.find(({ id }) => id === key)?.name ?? key;
          return (
            <li key={key} className="flex items-end gap-1">
              <div className="min-w-0 flex-1">{children(key, name, each)}</div>
              <IconButton
                label={`Take ${name} away from ${label.toLowerCase()}`}
                onClick={() => {
                  const { [key]: _, ...rest } = value;
                  onChange(rest);
                }}
              >
                <X size={18} />
              </IconButton>
            </li>
          );
        })}
      </ul>
      {left === undefined ? (
        <div className="mt-2 flex items-end gap-2">
          <TextField label={`New in ${label.toLowerCase()}`} value={added} onChange={setAdded} />
          <button
            type="button"
            className="plate inline-flex min-h-11 items-center gap-1 rounded border border-edge border-dashed px-3 text-note"
            onClick={() => add(added)}
          >
            <Plus size={16} aria-hidden="true" /> Add
          </button>
        </div>
      ) : (
        left.length > 0 && (
          <SelectField
            label={`Add to ${label.toLowerCase()}`}
            value=""
            options={[{ id: "", name: "…" }, ...left]}
            onChange={add}
          />
        )
      )}
    </fieldset>
  );
}
