"use client";

import { useId, useState } from "react";

/** A field that hands over when it is left or Enter is pressed, so that each change is one step of undo. */
export function Text({
  label,
  value,
  onChange,
}: {
  label: string;
  value: string;
  onChange: (to: string) => void;
}) {
  const id = useId();
  const [typed, setTyped] = useState<string>();
  const hand = () => {
    if (typed !== undefined && typed.trim() !== value) onChange(typed.trim());
    setTyped(undefined);
  };
  return (
    <div className="min-w-0">
      <label htmlFor={id} className="text-fine text-soft">
        {label}
      </label>
      <input
        id={id}
        className="field min-h-11! w-full px-2! py-1! text-body!"
        value={typed ?? value}
        autoComplete="off"
        onChange={(event) => setTyped(event.target.value)}
        onBlur={hand}
        onKeyDown={(event) => event.key === "Enter" && hand()}
      />
    </div>
  );
}

export function Choice({
  label,
  value,
  options,
  empty = false,
  onChange,
}: {
  label: string;
  value: string;
  options: readonly string[];
  empty?: boolean;
  onChange: (to: string | undefined) => void;
}) {
  const id = useId();
  return (
    <div className="min-w-0">
      <label htmlFor={id} className="text-fine text-soft">
        {label}
      </label>
      <select
        id={id}
        className="field min-h-11! w-full px-2! py-1! text-body!"
        value={value}
        onChange={(event) => onChange(event.target.value === "" ? undefined : event.target.value)}
      >
        {(empty || value === "") && <option value="">as the line</option>}
        {options.map((option) => (
          <option key={option} value={option}>
            {option}
          </option>
        ))}
      </select>
    </div>
  );
}
