"use client";

import { X } from "lucide-react";
import { type ReactNode, useId, useState } from "react";
import type { Problem } from "@/core/result";
import { labelOf } from "./schema";

export function Messages({
  id,
  messages,
  hint,
}: {
  id: string;
  messages: readonly string[];
  hint?: string | undefined;
}) {
  if (messages.length === 0 && hint === undefined) return null;
  return (
    <span id={id} className={messages.length > 0 ? "block text-note text-stop" : "block text-note text-soft"}>
      {messages.length > 0 ? messages.join(" ") : hint}
    </span>
  );
}

export function Select({
  label,
  value,
  options,
  messages = [],
  onChange,
}: {
  label: string;
  value: string;
  options: readonly { readonly id: string; readonly name: string }[];
  messages?: readonly string[];
  onChange: (value: string) => void;
}) {
  const id = useId();
  const known = options.some((option) => option.id === value);
  return (
    <label className="block">
      <span className="font-semibold">{label}</span>
      <select
        className="field mt-1"
        value={value}
        aria-invalid={messages.length > 0}
        aria-describedby={id}
        onChange={(event) => onChange(event.target.value)}
      >
        {!known && <option value={value}>{value === "" ? "choose one" : `${value} (unknown)`}</option>}
        {options.map((option) => (
          <option key={option.id} value={option.id}>
            {option.name}
          </option>
        ))}
      </select>
      <Messages id={id} messages={messages} />
    </label>
  );
}

export function TextField({
  label,
  value,
  long,
  messages,
  hint,
  onChange,
}: {
  label: string;
  value: string;
  long: boolean;
  messages: readonly string[];
  hint?: string | undefined;
  onChange: (value: string) => void;
}) {
  const id = useId();
  const field = useId();
  const wrong = messages.length > 0;
  return (
    <div>
      <label htmlFor={field} className="font-semibold">
        {label}
      </label>
      {long ? (
        <textarea
          id={field}
          className="field mt-1"
          rows={2}
          value={value}
          aria-invalid={wrong}
          aria-describedby={id}
          onChange={(event) => onChange(event.target.value)}
        />
      ) : (
        <input
          id={field}
          className="field mt-1"
          value={value}
          aria-invalid={wrong}
          aria-describedby={id}
          onChange={(event) => onChange(event.target.value)}
        />
      )}
      <Messages id={id} messages={messages} hint={hint} />
    </div>
  );
}

/** A number as it is typed, with a comma or a point; what is no number stays in the box and is said. */
export function NumberField({
  label,
  value,
  messages,
  hint,
  onChange,
}: {
  label: string;
  value: unknown;
  messages: readonly string[];
  hint?: string | undefined;
  onChange: (value: unknown) => void;
}) {
  const id = useId();
  const [typed, setTyped] = useState<string>();
  const shown = typed ?? String(value);
  const read = (text: string) => Number(text.trim().replace(",", "."));
  const wrong = typed !== undefined && (typed.trim() === "" || !Number.isFinite(read(typed)));
  return (
    <label className="block">
      <span className="font-semibold">{label}</span>
      <input
        className="field mt-1"
        inputMode="decimal"
        value={shown}
        aria-invalid={wrong || messages.length > 0}
        aria-describedby={id}
        onChange={(event) => {
          setTyped(event.target.value);
          const number = read(event.target.value);
          if (event.target.value.trim() !== "" && Number.isFinite(number)) onChange(number);
        }}
        onBlur={() => setTyped((now) => (wrong ? now : undefined))}
      />
      <Messages id={id} messages={wrong ? ["Write a number."] : messages} hint={hint} />
    </label>
  );
}

/** Names chosen from what the document has. */
export function Chips({
  name,
  items,
  choices,
  path,
  problems,
  onChange,
}: {
  name: string;
  path: string;
  problems: readonly Problem[];
  onChange: (value: unknown) => void;
  items: readonly string[];
  choices: readonly { readonly id: string; readonly name: string }[];
}) {
  const id = useId();
  const messages = problems.filter((each) => each.path === path || each.path.startsWith(`${path}/`));
  const free = choices.filter((choice) => !items.includes(choice.id));
  return (
    <fieldset>
      <legend className="font-semibold">{labelOf(name)}</legend>
      <ul className="mt-1 flex flex-wrap gap-1.5">
        {items.map((each) => (
          <li key={each}>
            <button
              type="button"
              aria-label={`Take ${choices.find((choice) => choice.id === each)?.name ?? each} away`}
              className="plate inline-flex min-h-11 items-center gap-1.5 rounded border-[1.5px] border-edge bg-paper px-2.5 text-body"
              onClick={() => onChange(items.filter((other) => other !== each))}
            >
              {choices.find((choice) => choice.id === each)?.name ?? `${each} (unknown)`}
              <X size={15} aria-hidden="true" />
            </button>
          </li>
        ))}
        <li>
          <select
            className="field min-h-11 w-auto py-1"
            aria-label={`Add to ${labelOf(name).toLowerCase()}`}
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
      <Messages id={id} messages={messages.map((each) => each.message)} />
    </fieldset>
  );
}

export function IconButton({
  label,
  disabled = false,
  onClick,
  children,
}: {
  label: string;
  disabled?: boolean;
  onClick: () => void;
  children: ReactNode;
}) {
  return (
    <button
      type="button"
      aria-label={label}
      disabled={disabled}
      className="grid size-11 place-items-center text-soft disabled:opacity-30"
      onClick={onClick}
    >
      {children}
    </button>
  );
}
