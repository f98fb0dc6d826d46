"use client";

import { useEffect, useRef } from "react";
import { typing } from "../keys";
import { STEP_FORM } from "./step-form";

export interface JobKeys {
  readonly undo: () => void;
  readonly note: () => void;
  readonly stop: () => void;
  /** To another view, or back from it. */
  readonly turnTo: (view: "axis" | "tray" | "line") => void;
  /** Reads the card aloud, or falls silent. */
  readonly read: () => void;
}

/** The keys of a job, where one is not typing. */
export function useJobKeys(keys: JobKeys): void {
  const newest = useRef(keys);
  newest.current = keys;
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      // Held down it would go through one card after the other.
      if (event.key === "Enter" && event.repeat && !(event.target instanceof HTMLTextAreaElement)) {
        event.preventDefault();
        return;
      }
      if (typing(event) || event.ctrlKey || event.metaKey || event.altKey) return;
      // Enter on a focused button presses that button, nothing else.
      const onButton = (event.target as HTMLElement | null)?.closest("button, a, [role=button]") !== null;
      if (event.key === "Enter" && onButton) return;
      const action = actionOf(event.key.toLowerCase(), newest.current);
      if (action === undefined) return;
      event.preventDefault();
      action();
    };
    addEventListener("keydown", onKey);
    return () => removeEventListener("keydown", onKey);
  }, []);
}

function actionOf(key: string, { undo, note, stop, turnTo, read }: JobKeys): (() => void) | undefined {
  switch (key) {
    case "backspace":
      return undo;
    case "m":
      return () => document.querySelector<HTMLInputElement>("[data-measure]")?.focus();
    case "n":
      return note;
    case "s":
      return stop;
    case "a":
      return () => turnTo("axis");
    case "r":
      return read;
    case "t":
      return () => turnTo("tray");
    case "l":
      return () => turnTo("line");
    case "enter":
      return () => (document.getElementById(STEP_FORM) as HTMLFormElement | null)?.requestSubmit();
    default:
      return undefined;
  }
}
