"use client";

import { useMemo } from "react";
import { type Dimension, fixed, formatIn, formatQuantity, sensibleDigits, type Unit } from "@/core/quantity";
import { useSettings } from "./settings";

/** Figures as whoever reads this screen writes them. */
export function useFigures() {
  const { system, mark } = useSettings();
  return useMemo(
    () => ({
      /** A bare figure. */
      digits: (value: number) => sensibleDigits(value, mark),
      /** A bare figure with so many decimals. */
      fixed: (value: number, decimals: number) => fixed(value, decimals, mark),
      /** An SI value in a unit of one's choice. */
      inUnit: (si: number, shown: Unit) => formatIn(si, shown, mark),
      /** An SI value in the reader's unit. */
      quantity: (si: number, dimension: Dimension) => formatQuantity(si, dimension, { system, mark }),
    }),
    [system, mark],
  );
}
export type Figures = ReturnType<typeof useFigures>;
