"use client";

import { useCallback, useEffect, useRef, useState } from "react";
import { typing } from "./keys";

/** Stands for a pressed Enter among letters. */
const ENTER = "\n";

/**
 * When find is open, by `/` or Ctrl-K or its button. Its card is fetched a moment after the page: what is typed before it
 * stands there is kept for it, so that nobody has to wait with the hands in the air.
 */
export function useFind(): {
  readonly finding: boolean;
  readonly setFinding: (open: boolean) => void;
  /** Whether it was ever opened here: before that its card is not there. */
  readonly wanted: boolean;
  /** What was typed so far, for the card when it comes. */
  readonly before: () => string;
} {
  const [finding, setOpen] = useState(false);
  const [wanted, setWanted] = useState(false);
  const typed = useRef("");
  const taken = useRef(false);
  const setFinding = useCallback((open: boolean) => {
    setOpen(open);
    if (open) setWanted(true);
  }, []);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (finding && !taken.current) {
        if (event.key === "Enter") typed.current += ENTER;
        else if (event.key.length === 1 && !event.ctrlKey && !event.metaKey) typed.current += event.key;
        else return;
        event.preventDefault();
        return;
      }
      const find = event.key === "/" && !typing(event);
      const command = event.key.toLowerCase() === "k" && (event.ctrlKey || event.metaKey);
      if (!find && !command) return;
      event.preventDefault();
      setFinding(true);
    };
    addEventListener("keydown", onKey);
    return () => removeEventListener("keydown", onKey);
  }, [finding, setFinding]);
  const before = useCallback(() => {
    taken.current = true;
    return typed.current;
  }, []);
  return { finding, setFinding, wanted, before };
}
