"use client";

import { useEffect, useState } from "react";
import { fromSI, parseQuantity, quantityMessage, toSI, unit } from "@/core/quantity";
import { FigureField } from "../kit/figure-field";
import type { Labels } from "../kit/labelled";
import { useSettings } from "../settings";
import { measureOf } from "./schema";

/** Enough digits that a figure comes back as it was typed, and few enough that no binary dust shows. */
const STORED_DIGITS = 12;
const SHOWN_DIGITS = 6;
const rounded = (value: number, digits: number) => Number(value.toPrecision(digits));

/**
 * A number of a document, typed in any unit and stored in the document's own; what cannot be read stays in the box, is
 * said, and is told to whoever would save.
 */
export function StoredFigure({
  name,
  value,
  onChange,
  onUnread,
  error,
  ...labels
}: Labels & {
  /** Of the field: it ends in the unit that the figure is stored in. */
  name: string;
  value: unknown;
  onChange: (to: number) => void;
  onUnread: (message: string | undefined) => void;
}) {
  const { system } = useSettings();
  const measured = measureOf(name) ?? { dimension: "number" as const, stored: "", us: "" };
  const stored = unit(measured.stored);
  const shown = unit(system === "us" ? measured.us : measured.stored);
  const [typed, setTyped] = useState<string>();
  const read = typed === undefined ? undefined : parseQuantity(typed, measured.dimension, shown);
  const unread = read === undefined || read.ok ? undefined : quantityMessage(read.error, shown);
  // biome-ignore lint/correctness/useExhaustiveDependencies: told when the message changes and when the field goes
  useEffect(() => {
    if (unread === undefined) return;
    onUnread(unread);
    return () => onUnread(undefined);
  }, [unread]);
  const text =
    typeof value === "number" ? String(rounded(fromSI(toSI(value, stored), shown), SHOWN_DIGITS)) : "";
  return (
    <FigureField
      {...labels}
      ofPaper
      error={unread ?? error}
      dimension={measured.dimension}
      figure={{ text: typed ?? text, unit: shown.id, source: { kind: "hand" } }}
      onFigure={(figure) => {
        setTyped(figure.text);
        const to = parseQuantity(figure.text, measured.dimension, shown);
        if (to.ok) onChange(rounded(fromSI(to.value.si, stored), STORED_DIGITS));
      }}
      // What could be read is written out in the unit of the field once it is left.
      onBlur={() => unread === undefined && setTyped(undefined)}
    />
  );
}
