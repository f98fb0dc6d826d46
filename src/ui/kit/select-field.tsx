import type { Ref } from "react";
import { Labelled, type Labels } from "./labelled";

export interface Option {
  readonly id: string;
  readonly name: string;
}

/** One of several, from a list; a value that is not among them is shown as what it is. */
export function SelectField({
  value,
  options,
  onChange,
  inputRef,
  ...labels
}: Labels & {
  value: string;
  options: readonly Option[];
  onChange: (to: string) => void;
  inputRef?: Ref<HTMLSelectElement>;
}) {
  const known = options.some((option) => option.id === value);
  return (
    <Labelled {...labels}>
      {(wiring) => (
        <select
          {...wiring}
          ref={inputRef}
          className="field"
          value={value}
          onChange={(event) => onChange(event.target.value)}
        >
          {!known && <option value={value}>{value === "" ? "choose one" : `${value} (unknown)`}</option>}
          {options.map((option) => (
            <option key={option.id} value={option.id}>
              {option.name}
            </option>
          ))}
        </select>
      )}
    </Labelled>
  );
}
