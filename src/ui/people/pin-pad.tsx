"use client";

import { Delete } from "lucide-react";
import { useEffect } from "react";
import { typing } from "../keys";

const MOST = 8;
const FIGURES = ["1", "2", "3", "4", "5", "6", "7", "8", "9"];

/** Figures large enough for a glove; typed on a keyboard they are taken, too. */
export function PinPad({
  value,
  onChange,
  onDone,
  verb,
  busy,
}: {
  value: string;
  onChange: (to: string) => void;
  onDone: () => void;
  verb: string;
  busy: boolean;
}) {
  const add = (figure: string) => onChange((value + figure).slice(0, MOST));
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (typing(event) || event.metaKey || event.ctrlKey || event.altKey) return;
      if (/^\d$/.test(event.key)) onChange((value + event.key).slice(0, MOST));
      else if (event.key === "Backspace") onChange(value.slice(0, -1));
      else if (event.key === "Enter" && value !== "" && !(event.target instanceof HTMLButtonElement))
        onDone();
    };
    addEventListener("keydown", onKey);
    return () => removeEventListener("keydown", onKey);
  }, [value, onChange, onDone]);
  return (
    <div className="flex flex-col gap-3">
      <p
        role="status"
        className="plate flex h-14 items-center justify-center gap-3 rounded-md border-2 border-edge bg-paper text-title"
      >
        <span className="sr-only">{`${value.length} figures`}</span>
        {[...value].map((_, place) => (
          <span key={place} aria-hidden className="size-4 rounded-full bg-ink" />
        ))}
      </p>
      <div className="grid grid-cols-3 gap-2">
        {FIGURES.map((figure) => (
          <Key key={figure} onPress={() => add(figure)}>
            {figure}
          </Key>
        ))}
        <Key label="Take the last figure back" onPress={() => onChange(value.slice(0, -1))}>
          <Delete aria-hidden />
        </Key>
        <Key onPress={() => add("0")}>0</Key>
        <button
          type="button"
          disabled={busy || value === ""}
          onClick={onDone}
          className="btn btn-go min-h-16 text-lead"
        >
          {verb}
        </button>
      </div>
    </div>
  );
}

function Key({
  label,
  onPress,
  children,
}: {
  label?: string;
  onPress: () => void;
  children: React.ReactNode;
}) {
  return (
    <button
      type="button"
      aria-label={label}
      onClick={onPress}
      className="btn btn-quiet plate grid min-h-16 place-items-center text-title"
    >
      {children}
    </button>
  );
}
