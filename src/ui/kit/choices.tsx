import clsx from "clsx";
import type { ReactNode, Ref } from "react";
import { Says } from "./labelled";

/** A few answers as large buttons; the one that stands is gone on from with Enter. */
export function Choices({
  label,
  options,
  value,
  onChange,
  error,
  inputRef,
  bare = false,
}: {
  label: string;
  options: readonly { readonly id: string; readonly label: string; readonly picture?: ReactNode }[];
  value: string;
  onChange: (id: string) => void;
  error?: string | undefined;
  inputRef?: Ref<HTMLButtonElement>;
  /** Inside a card already: one below the other, with no frame of its own. */
  bare?: boolean;
}) {
  return (
    <fieldset className={bare ? "" : "card p-4"}>
      <legend className={clsx("font-bold text-lead", bare ? "mt-1 mb-1.5" : "float-left mb-2.5")}>
        {label}
      </legend>
      <div
        className={clsx(
          "clear-both grid gap-2",
          !bare && "sm:grid-cols-[repeat(auto-fit,minmax(150px,1fr))]",
        )}
      >
        {options.map((option, place) => (
          <button
            key={option.id}
            type="button"
            ref={place === 0 ? inputRef : undefined}
            aria-pressed={value === option.id}
            onClick={() => onChange(option.id)}
            // A choice that stands is gone on from by the key that chose it.
            onKeyDown={(event) => {
              if (event.key !== "Enter" || value !== option.id) return;
              event.preventDefault();
              event.currentTarget.form?.requestSubmit();
            }}
            className={clsx(
              "flex min-h-[58px] items-center justify-center gap-x-3 gap-y-1.5 rounded-md border-2 px-3 py-1.5 font-semibold text-body leading-tight",
              option.picture !== undefined && (bare ? "justify-start text-left" : "sm:flex-col sm:py-2.5"),
              value === option.id ? "border-ink bg-ink text-paper" : "border-edge bg-paper",
            )}
          >
            {option.picture}
            {option.label}
          </button>
        ))}
      </div>
      {error !== undefined && (
        <div className="mt-2">
          <Says error={error} />
        </div>
      )}
    </fieldset>
  );
}
