"use client";

import clsx from "clsx";
import { type ReactNode, useId, useState } from "react";
import type { Step, StepOf } from "@/core/job";
import { type Dimension, parseQuantity, quantityMessage, unit } from "@/core/quantity";
import type { JobLog } from "./use-job-log";

export const STEP_FORM = "step-form";

export interface BodyProps<K extends Step["kind"]> {
  readonly step: StepOf<K>;
  readonly log: JobLog;
}

/** The form around a step: the wide button below and the Enter key submit it. */
export function StepForm({ onDone, children }: { onDone: () => void; children?: ReactNode }) {
  return (
    <form
      id={STEP_FORM}
      className="flex flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        onDone();
      }}
    >
      {children}
    </form>
  );
}

/** A field with its error below it; what is typed is kept when it is refused. */
export function Field({
  label,
  hint,
  value,
  onChange,
  error,
  measure = false,
  inputMode,
}: {
  label: string;
  hint?: string;
  value: string;
  onChange: (value: string) => void;
  error?: string | undefined;
  measure?: boolean;
  inputMode?: "text" | "decimal";
}) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="font-semibold text-lead">
        {label}
      </label>
      <input
        id={id}
        className="field mt-1"
        autoComplete="off"
        autoCapitalize="off"
        inputMode={inputMode}
        value={value}
        aria-invalid={error !== undefined}
        aria-describedby={`${id}-says`}
        onChange={(event) => onChange(event.target.value)}
        {...(measure && { "data-measure": true })}
      />
      <p
        id={`${id}-says`}
        className={clsx("mt-1 text-note", error === undefined ? "text-soft" : "text-stop")}
        role={error === undefined ? undefined : "alert"}
      >
        {error ?? hint}
      </p>
    </div>
  );
}

/** Reads a figure as typed; the message stands at the field and nothing is stored. */
export function useReading(dimension: Dimension, unitId: string) {
  const [text, setText] = useState("");
  const [error, setError] = useState<string>();
  const assumed = unit(unitId);
  return {
    text,
    error,
    label: assumed.label,
    setText: (value: string) => {
      setText(value);
      setError(undefined);
    },
    refuse: setError,
    read(): { si: number; typed: string } | undefined {
      const parsed = parseQuantity(text, dimension, assumed);
      if (!parsed.ok) {
        setError(quantityMessage(parsed.error));
        return undefined;
      }
      const typed = /[a-z°Ω"'%]/i.test(text) ? text.trim() : `${text.trim()} ${assumed.label}`;
      return { si: parsed.value.si, typed: typed.slice(0, 80) };
    },
  };
}

export function Choices({
  label,
  options,
  chosen,
  onChoose,
}: {
  label: string;
  options: readonly { id: string; label: string }[];
  chosen: string | undefined;
  onChoose: (id: string) => void;
}) {
  return (
    <fieldset className="card p-4">
      <legend className="float-left mb-2.5 font-bold text-lead">{label}</legend>
      <div className="clear-both grid gap-2 sm:grid-cols-[repeat(auto-fit,minmax(150px,1fr))]">
        {options.map((option) => (
          <button
            key={option.id}
            type="button"
            aria-pressed={chosen === option.id}
            onClick={() => onChoose(option.id)}
            // A choice that stands is gone on from by the key that chose it.
            onKeyDown={(event) => {
              if (event.key !== "Enter" || chosen !== option.id) return;
              event.preventDefault();
              event.currentTarget.form?.requestSubmit();
            }}
            className={clsx(
              "min-h-[58px] rounded-md border-2 px-3 py-1.5 font-semibold text-body leading-tight",
              chosen === option.id ? "border-ink bg-ink text-paper" : "border-edge bg-paper",
            )}
          >
            {option.label}
          </button>
        ))}
      </div>
    </fieldset>
  );
}
