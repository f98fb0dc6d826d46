"use client";

import dynamic from "next/dynamic";
import { type Ref, useEffect, useRef, useState } from "react";
import { type Dimension, unit, unitsOf } from "@/core/quantity";
import { useHowMany } from "../instruments/connected";
import { useSettings } from "../settings";
import { type Figure, handedOver, typedByHand } from "./figure";
import { Labelled, type Labels } from "./labelled";
import { Pad, usePad } from "./pad";

/** What reads for a field is fetched when something is connected. */
const AtField = dynamic(() => import("../instruments/at-field").then((made) => made.AtField), { ssr: false });

/** What is no measure, and a difference, are not turned into other units. */
const TURNED = (dimension: Dimension) =>
  dimension !== "number" && dimension !== "temperature difference" && unitsOf(dimension).length > 1;

export interface FigureFieldProps extends Labels {
  readonly dimension: Dimension;
  readonly figure: Figure;
  readonly onFigure: (to: Figure) => void;
  /** Given where the unit may be turned. */
  readonly onUnit?: ((to: string) => void) | undefined;
  /** What counts while the field is empty. */
  readonly usual?: string;
  readonly measure?: boolean;
  /** What a plain number is counted in, where an instrument may read it: ppm, % LEL. */
  readonly counted?: string | undefined;
  /** It is copied from a paper: no instrument reads it. */
  readonly ofPaper?: boolean;
  readonly inputMode?: "text" | "decimal";
  readonly inputRef?: Ref<HTMLInputElement>;
  readonly onBlur?: () => void;
}

/**
 * A figure, in any unit one types. It is the one place where figures come in: whatever hands one over puts it here,
 * with where it came from.
 */
export function FigureField({
  dimension,
  figure,
  onFigure,
  onUnit,
  usual,
  measure = false,
  counted,
  ofPaper = false,
  inputMode = "text",
  inputRef,
  onBlur,
  ...labels
}: FigureFieldProps) {
  const ours = usePad();
  const [open, setOpen] = useState(false);
  const own = useRef<HTMLDivElement>(null);
  // What one types with is seen whole, and the field over it.
  useEffect(() => {
    if (ours && open) own.current?.scrollIntoView({ block: "nearest" });
  }, [ours, open]);
  const { source } = figure;
  const connected = useHowMany() > 0 && !ofPaper;
  const { mark: decimal } = useSettings();
  const mark = source.kind === "usual" ? "usual figure" : labels.mark;
  return (
    <Labelled {...labels} mark={mark}>
      {(wiring) => (
        // biome-ignore lint/a11y/noStaticElementInteractions: it hears only that the field was left
        <div
          ref={own}
          onBlur={({ relatedTarget }) => {
            if (!own.current?.contains(relatedTarget)) setOpen(false);
          }}
        >
          <div className="relative">
            <input
              {...wiring}
              ref={inputRef}
              className={onUnit === undefined ? "field pr-20!" : "field pr-28!"}
              value={figure.text}
              placeholder={usual}
              inputMode={ours ? "none" : inputMode}
              onFocus={() => setOpen(true)}
              onClick={() => setOpen(true)}
              autoComplete="off"
              autoCapitalize="off"
              onBlur={onBlur}
              onChange={(event) => onFigure(typedByHand(figure, event.target.value))}
              {...(measure && { "data-measure": true })}
            />
            {onUnit !== undefined && TURNED(dimension) ? (
              <select
                aria-label={`Unit of ${labels.label}`}
                className="plate absolute top-0.5 right-1 h-[calc(100%-4px)] max-w-28 cursor-pointer rounded bg-transparent px-2 text-right text-soft"
                value={figure.unit}
                onChange={(event) => onUnit(event.target.value)}
              >
                {unitsOf(dimension).map((each) => (
                  <option key={each.id} value={each.id}>
                    {each.label}
                  </option>
                ))}
              </select>
            ) : (
              <span className="plate pointer-events-none absolute top-1/2 right-4 -translate-y-1/2 text-soft">
                {unit(figure.unit).label}
              </span>
            )}
          </div>
          {ours && open && (
            <Pad
              // The first key takes the place of a usual figure.
              text={source.kind === "usual" ? "" : figure.text}
              unit={figure.unit}
              dimension={dimension}
              onText={(text) => onFigure(typedByHand(figure, text))}
              onUnit={onUnit ?? ((to) => onFigure({ ...figure, unit: to }))}
              onDone={() => setOpen(false)}
            />
          )}
          {connected && (dimension !== "number" || counted !== undefined) && (
            <AtField
              label={labels.label}
              wanted={{ dimension, unit: counted }}
              taken={source.kind === "instrument" ? source.taken : undefined}
              onTake={(offer) => {
                onFigure(handedOver(figure, offer, dimension, offer.taken, decimal));
                setOpen(false);
              }}
            />
          )}
        </div>
      )}
    </Labelled>
  );
}
