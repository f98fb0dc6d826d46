"use client";

import { type Ref, useId, useState } from "react";
import { Labelled, type Labels } from "./labelled";

export interface TextFieldProps extends Labels {
  readonly value: string;
  readonly onChange: (to: string) => void;
  readonly inputRef?: Ref<HTMLInputElement & HTMLTextAreaElement>;
  /** A sentence: a box of several lines. */
  readonly long?: boolean;
  readonly maxLength?: number;
  readonly placeholder?: string;
  readonly autoComplete?: string;
  /** Not to be read over a shoulder. */
  readonly secret?: boolean;
  /** Figures alone: a device shows their keys. */
  readonly figures?: boolean;
  /** What is offered while one types. */
  readonly offered?: readonly { readonly value: string; readonly says?: string }[];
  /** The field that the key for measuring leads to. */
  readonly measure?: boolean;
  readonly onBlur?: () => void;
  readonly onEnter?: () => void;
}

/** Words, as they are typed; what is refused stays in the box. */
export function TextField({
  value,
  onChange,
  inputRef,
  long = false,
  maxLength,
  placeholder,
  autoComplete = "off",
  secret = false,
  figures = false,
  offered,
  measure = false,
  onBlur,
  onEnter,
  ...labels
}: TextFieldProps) {
  const list = useId();
  return (
    <Labelled {...labels}>
      {(wiring) => {
        const common = {
          ...wiring,
          ref: inputRef,
          className: "field",
          value,
          maxLength,
          placeholder,
          autoComplete,
          ...(measure && { "data-measure": true }),
        };
        return long ? (
          <textarea {...common} rows={2} onChange={(event) => onChange(event.target.value)} />
        ) : (
          <>
            <input
              {...common}
              type={secret ? "password" : "text"}
              {...(figures && { inputMode: "numeric" as const })}
              autoCapitalize="off"
              list={offered === undefined ? undefined : list}
              onBlur={onBlur}
              onKeyDown={(event) => event.key === "Enter" && onEnter?.()}
              onChange={(event) => onChange(event.target.value)}
            />
            {offered !== undefined && (
              <datalist id={list}>
                {offered.map((each) => (
                  <option key={each.value} value={each.value}>
                    {each.says}
                  </option>
                ))}
              </datalist>
            )}
          </>
        );
      }}
    </Labelled>
  );
}

/**
 * Words that are handed over when the field is left or Enter is pressed: for a name that others go by, which must not
 * pass through every shorter one on its way. What is refused stays in the box with the reason, and nothing changes.
 */
export function LateTextField({
  value,
  onChange,
  refuse,
  ...rest
}: Omit<TextFieldProps, "long" | "inputRef"> & { refuse?: (text: string) => string | undefined }) {
  const [typed, setTyped] = useState<string>();
  const [refused, setRefused] = useState<string>();
  const type = (text: string | undefined) => {
    setTyped(text);
    setRefused(undefined);
  };
  const hand = () => {
    const text = typed?.trim() ?? value;
    const why = text === value ? undefined : refuse?.(text);
    if (why !== undefined) return setRefused(why);
    type(undefined);
    if (text !== value) onChange(text);
  };
  return (
    <TextField
      {...rest}
      {...(refused !== undefined && { error: refused })}
      value={typed ?? value}
      onChange={type}
      onBlur={hand}
      onEnter={hand}
    />
  );
}
