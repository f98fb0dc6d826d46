"use client";

import type { ReactNode } from "react";
import {
  type DefaultValues,
  type FieldPath,
  type FieldPathValue,
  type FieldValues,
  type UseFormReturn,
  useController,
  useForm,
} from "react-hook-form";

/** A form whose fields are checked when it is handed in; the first that is wrong gets the cursor. */
export const useAsked = <V extends FieldValues>(blank: DefaultValues<V>): UseFormReturn<V> =>
  useForm<V>({ defaultValues: blank, reValidateMode: "onSubmit" });

/** What a field of the kit takes from the form it stands in. */
export interface AskedField<T> {
  readonly value: T;
  readonly onChange: (to: T) => void;
  readonly error: string | undefined;
  readonly inputRef: (element: HTMLElement | null) => void;
}

/** One field of a form: what it refuses is said at it, and goes away as soon as one types on. */
export function Asked<V extends FieldValues, N extends FieldPath<V>>({
  form,
  name,
  refuse,
  children,
}: {
  form: UseFormReturn<V>;
  name: N;
  /** What is wrong with a value, for who filled it in; nothing when it may stand. */
  refuse?: (value: FieldPathValue<V, N>) => string | undefined;
  children: (field: AskedField<FieldPathValue<V, N>>) => ReactNode;
}) {
  const { field, fieldState } = useController<V, N>({
    control: form.control,
    name,
    rules: { validate: (value) => refuse?.(value as FieldPathValue<V, N>) ?? true },
  });
  return children({
    value: field.value,
    onChange: (to) => {
      field.onChange(to);
      if (fieldState.invalid) form.clearErrors(name);
    },
    error: fieldState.error?.message,
    inputRef: field.ref,
  });
}

/** Refuses what is left empty. */
export const needed =
  (message: string) =>
  (text: string): string | undefined =>
    text.trim() === "" ? message : undefined;
