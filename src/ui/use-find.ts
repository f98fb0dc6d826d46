"use client";

import { useCallback, useEffect, useRef, useState } from "react";
import { typing } from "./keys";

/** Stands for a pressed Enter among letters. */
export const ENTER = "\n";

const inField = (event: KeyboardEvent): boolean =>
  (event.target as HTMLElement | null)?.closest("input") != null;

/**
 * When find is open, by `/` or Ctrl-K or its button. Its card is fetched a moment after the page, and its field has the
 * focus a moment after the card: what is typed until then is kept for it, so that no letter is lost to a quick hand.
 */
export function useFind(): {
  readonly finding: boolean;
  readonly setFinding: (open: boolean) => void;
  /** Whether it was ever opened here: before that its card is not there. */
  readonly wanted: boolean;
  /** What was typed before the field had the focus; it is given once. */
  readonly takeEarlier: () => string;
} {
  const [finding, setOpen] = useState(false);
  const [wanted, setWanted] = useState(false);
  /** What was typed since it was opened; nothing while it is closed. Not a state: a key may come before the next drawing. */
  const earlier = useRef<string>(undefined);
  const setFinding = useCallback((open: boolean) => {
    earlier.current = open ? "" : undefined;
    setOpen(open);
    if (open) setWanted(true);
  }, []);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const plain = !event.ctrlKey && !event.metaKey && !event.altKey;
      if (earlier.current !== undefined) {
        if (inField(event) || !plain) return;
        if (event.key === "Escape") return setFinding(false);
        if (event.key === "Enter") earlier.current += ENTER;
        else if (event.key === "Backspace") earlier.current = earlier.current.slice(0, -1);
        else if (event.key.length === 1) earlier.current += event.key;
        else return;
        event.preventDefault();
        return;
      }
      const find = event.key === "/" && plain && !typing(event);
      const command = event.key.toLowerCase() === "k" && (event.ctrlKey || event.metaKey);
      if (!find && !command) return;
      event.preventDefault();
      setFinding(true);
    };
    addEventListener("keydown", onKey);
    return () => removeEventListener("keydown", onKey);
  }, [setFinding]);
  const takeEarlier = useCallback(() => {
    const taken = earlier.current ?? "";
    if (earlier.current !== undefined) earlier.current = "";
    return taken;
  }, []);
  return { finding, setFinding, wanted, takeEarlier };
}
