"use client";

import { X } from "lucide-react";
import { useId } from "react";
import { Says } from "../kit/labelled";
import type { Option } from "../kit/select-field";

/** Names chosen from what the document has. */
export function Chips({
  label,
  items,
  choices,
  messages,
  onChange,
}: {
  label: string;
  items: readonly string[];
  choices: readonly Option[];
  messages: readonly string[];
  onChange: (items: readonly string[]) => void;
}) {
  const id = useId();
  const nameOf = (item: string) => choices.find((choice) => choice.id === item)?.name;
  const free = choices.filter((choice) => !items.includes(choice.id));
  return (
    <fieldset>
      <legend className="font-semibold">{label}</legend>
      <ul className="mt-1 flex flex-wrap gap-1.5">
        {items.map((each) => (
          <li key={each}>
            <button
              type="button"
              aria-label={`Take ${nameOf(each) ?? each} away`}
              className="plate inline-flex min-h-11 items-center gap-1.5 rounded border-[1.5px] border-edge bg-paper px-2.5 text-body"
              onClick={() => onChange(items.filter((other) => other !== each))}
            >
              {nameOf(each) ?? `${each} (unknown)`}
              <X size={15} aria-hidden="true" />
            </button>
          </li>
        ))}
        <li className="min-w-0 max-w-full">
          <select
            className="field min-h-11 w-auto max-w-full py-1"
            aria-label={`Add to ${label.toLowerCase()}`}
            aria-describedby={id}
            value=""
            onChange={(event) => event.target.value !== "" && onChange([...items, event.target.value])}
          >
            <option value="">add …</option>
            {free.map((choice) => (
              <option key={choice.id} value={choice.id}>
                {choice.name}
              </option>
            ))}
          </select>
        </li>
      </ul>
      <Says id={id} error={messages.length > 0 ? messages.join(" ") : undefined} />
    </fieldset>
  );
}
