"use client";

import type { Sheet } from "@/core/formats";
import { Axis } from "./draw/axis";
import type { AxisForm } from "./draw/axis-layout";
import { untouched } from "./draw/axis-part";

/** The axis of a sheet to be looked at or printed: nothing to tap. */
export function PlainAxis({ sheet, form }: { sheet: Sheet; form: AxisForm }) {
  return <Axis parts={untouched(sheet.parts)} form={form} />;
}
