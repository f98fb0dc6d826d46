"use client";

import { Delete } from "lucide-react";
import { type ReactNode, useEffect, useState } from "react";
import { type Dimension, FRACTIONS, inFractions, type PadKey, padUnits, pressed } from "@/core/quantity";
import { useSettings } from "../settings";

/** Whether figures are typed with our own keys: where there is a touch screen, and nobody chose otherwise. */
export function usePad(): boolean {
  const { keys } = useSettings();
  const [touch, setTouch] = useState(false);
  useEffect(() => setTouch(matchMedia("(pointer: coarse)").matches), []);
  return touch && keys === "ours";
}

const ROWS = [
  ["1", "2", "3"],
  ["4", "5", "6"],
  ["7", "8", "9"],
] as const;
const digit = (text: string): PadKey => ({ kind: "digit", digit: text });

/** Keys as large as a glove, with the units that stand on the instruments and the fractions that stand on a rule. */
export function Pad({
  text,
  unit,
  dimension,
  onText,
  onUnit,
  onDone,
}: {
  text: string;
  /** Id of the unit a bare number is in. */
  unit: string;
  dimension: Dimension;
  onText: (text: string) => void;
  onUnit: (unit: string) => void;
  onDone: () => void;
}) {
  const { mark } = useSettings();
  const point = mark === "comma" ? "," : ".";
  const press = (key: PadKey) => onText(pressed(text, key, point));
  const units = padUnits(dimension, unit);
  return (
    <div
      data-pad=""
      className="mt-2 grid grid-cols-4 gap-1.5"
      onPointerDown={(event) => event.preventDefault()}
    >
      {units.length > 1 && (
        <div className="col-span-4 flex flex-wrap gap-1.5">
          {units.map(({ id, label }) => (
            <Key key={id} says={label} small on={id === unit} onPress={() => onUnit(id)}>
              {label}
            </Key>
          ))}
        </div>
      )}
      {inFractions(unit) && (
        <div className="col-span-4 grid grid-cols-4 gap-1.5">
          {FRACTIONS.map((fraction) => (
            <Key key={fraction} says={fraction} small onPress={() => press({ kind: "fraction", fraction })}>
              {fraction}
            </Key>
          ))}
        </div>
      )}
      <div className="col-span-3 grid grid-cols-3 gap-1.5">
        {ROWS.flat().map((each) => (
          <Key key={each} says={each} onPress={() => press(digit(each))}>
            {each}
          </Key>
        ))}
        <Key says="minus" onPress={() => press({ kind: "sign" })}>
          −
        </Key>
        <Key says="0" onPress={() => press(digit("0"))}>
          0
        </Key>
        <Key says="point" onPress={() => press({ kind: "mark" })}>
          {point}
        </Key>
      </div>
      <div className="grid grid-rows-2 gap-1.5">
        <Key says="take the last one back" onPress={() => press({ kind: "back" })}>
          <Delete size={26} aria-hidden="true" />
        </Key>
        <Key says="put the keys away" small onPress={onDone}>
          OK
        </Key>
      </div>
    </div>
  );
}

function Key({
  says,
  small = false,
  on,
  onPress,
  children,
}: {
  says: string;
  small?: boolean;
  on?: boolean;
  onPress: () => void;
  children: ReactNode;
}) {
  return (
    <button
      type="button"
      // Whoever has keys has those: these are for fingers.
      tabIndex={-1}
      aria-label={says}
      aria-pressed={on}
      onClick={onPress}
      className={`plate grid min-h-14 min-w-14 flex-1 touch-manipulation select-none place-items-center rounded-md border-2 ${small ? "text-lead" : "text-title"} ${on ? "border-ink bg-ink text-paper" : "border-edge bg-card text-ink active:bg-sunk"}`}
    >
      {children}
    </button>
  );
}
