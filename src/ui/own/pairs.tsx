"use client";

import { Plus, X } from "lucide-react";
import { DateField } from "../kit/date-field";
import { Says } from "../kit/labelled";
import { TextField } from "../kit/text-field";

export interface Pair {
  readonly first: string;
  readonly second: string;
}

/** Entries under names that are typed: a day and what it is, first and last day. */
export function Pairs({
  label,
  hint,
  first,
  second,
  secondIs,
  value,
  onChange,
  error,
}: {
  label: string;
  hint?: string;
  first: string;
  second: string;
  secondIs: "words" | "day";
  value: readonly Pair[];
  onChange: (to: Pair[]) => void;
  error: string | undefined;
}) {
  const put = (index: number, change: Partial<Pair>) =>
    onChange(value.map((pair, place) => (place === index ? { ...pair, ...change } : pair)));
  return (
    <fieldset>
      <legend className="font-semibold">{label}</legend>
      <Says hint={hint} error={error} />
      <ul className="flex flex-col gap-2">
        {value.map((pair, index) => (
          <li key={index} className="grid grid-cols-[1fr_auto] items-end gap-2 sm:grid-cols-[1fr_1fr_auto]">
            <div className="col-span-2 sm:col-span-1">
              <DateField label={first} value={pair.first} onChange={(to) => put(index, { first: to })} />
            </div>
            {secondIs === "day" ? (
              <DateField label={second} value={pair.second} onChange={(to) => put(index, { second: to })} />
            ) : (
              <TextField label={second} value={pair.second} onChange={(to) => put(index, { second: to })} />
            )}
            <button
              type="button"
              aria-label={`Take ${pair.first || "this"} away`}
              className="btn btn-quiet mb-0.5 min-w-11 px-3"
              onClick={() => onChange(value.filter((_, place) => place !== index))}
            >
              <X size={18} aria-hidden />
            </button>
          </li>
        ))}
      </ul>
      <button
        type="button"
        className="btn btn-quiet mt-2"
        onClick={() => onChange([...value, { first: "", second: "" }])}
      >
        <Plus size={18} aria-hidden /> Add
      </button>
    </fieldset>
  );
}
