"use client";

import type { Sheet } from "@/core/formats";
import { Axis } from "./draw/axis";
import type { AxisForm } from "./draw/axis-layout";

/** The axis of a sheet to be looked at or printed: nothing to tap. */
export function PlainAxis({ sheet, form }: { sheet: Sheet; form: AxisForm }) {
  return (
    <Axis
      parts={sheet.parts.map((part) => ({
        part,
        place: part.stays ? ("stays" as const) : ("in" as const),
        renew: false,
      }))}
      form={form}
    />
  );
}
