"use client";

import clsx from "clsx";
import { ChevronDown, ChevronUp, Plus, X } from "lucide-react";
import type { ReactNode } from "react";
import { Says } from "../kit/labelled";
import { titleOf } from "./schema";

/** Entries one below the other, each to be moved and taken away; a long one folds to its name. */
export function List({
  label,
  hint,
  messages,
  items,
  folded,
  opens,
  blank,
  onChange,
  children,
}: {
  label: string;
  hint?: string | undefined;
  messages: readonly string[];
  items: readonly unknown[];
  folded: boolean;
  /** Whether an entry stands open, because something in it is wrong. */
  opens: (index: number) => boolean;
  blank: () => unknown;
  onChange: (items: readonly unknown[]) => void;
  children: (item: unknown, index: number) => ReactNode;
}) {
  const swap = (index: number, other: number) =>
    onChange(
      items.map((each, place) => (place === index ? items[other] : place === other ? items[index] : each)),
    );
  return (
    <fieldset>
      <legend className="font-semibold">{label}</legend>
      <Says hint={hint} error={messages.length > 0 ? messages.join(" ") : undefined} />
      <ol className="mt-1 flex flex-col gap-2">
        {items.map((each, index) => (
          // An open entry has the whole width for its fields; what moves it stands at its foot then.
          <li
            key={index}
            className={clsx(
              "flex gap-1",
              folded
                ? "items-start has-[>details[open]]:flex-col has-[>details[open]]:items-stretch"
                : "items-end",
            )}
          >
            {folded ? (
              <details className="card min-w-0 flex-1 px-3" open={opens(index)}>
                <summary className="min-h-11 cursor-pointer content-center truncate font-semibold">
                  {titleOf(each, index)}
                </summary>
                <div className="pb-3">{children(each, index)}</div>
              </details>
            ) : (
              <div className="min-w-0 flex-1">{children(each, index)}</div>
            )}
            <span className="flex justify-end">
              <IconButton
                label={`Move ${label} ${index + 1} up`}
                disabled={index === 0}
                onClick={() => swap(index, index - 1)}
              >
                <ChevronUp size={18} />
              </IconButton>
              <IconButton
                label={`Move ${label} ${index + 1} down`}
                disabled={index === items.length - 1}
                onClick={() => swap(index, index + 1)}
              >
                <ChevronDown size={18} />
              </IconButton>
              <IconButton
                label={`Take ${label} ${index + 1} away`}
                onClick={() => onChange(items.filter((_, place) => place !== index))}
              >
                <X size={18} />
              </IconButton>
            </span>
          </li>
        ))}
      </ol>
      <button
        type="button"
        className="plate mt-2 inline-flex min-h-11 items-center gap-1 rounded border border-edge border-dashed px-3 text-note"
        onClick={() => onChange([...items, blank()])}
      >
        <Plus size={16} aria-hidden="true" /> Add to {label.toLowerCase()}
      </button>
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
      className="grid size-11 shrink-0 place-items-center text-soft disabled:opacity-30"
      onClick={onClick}
    >
      {children}
    </button>
  );
}
