"use client";

import type { FieldPathByValue, FieldValues, UseFormReturn } from "react-hook-form";
import { Asked } from "./asked";
import { type Figure, refuseFigure } from "./figure";
import { FigureField, type FigureFieldProps } from "./figure-field";

/** A figure of a form: what cannot be read is refused, unless the form has a rule of its own. */
export function AskedFigure<V extends FieldValues, N extends FieldPathByValue<V, Figure>>({
  form,
  name,
  refuse,
  ...rest
}: Omit<FigureFieldProps, "figure" | "onFigure" | "inputRef" | "error"> & {
  form: UseFormReturn<V>;
  name: N;
  refuse?: (figure: Figure) => string | undefined;
}) {
  return (
    <Asked form={form} name={name} refuse={refuse ?? refuseFigure(rest.dimension)}>
      {({ value, onChange, ...field }) => (
        <FigureField {...rest} {...field} figure={value} onFigure={(to) => onChange(to as typeof value)} />
      )}
    </Asked>
  );
}
