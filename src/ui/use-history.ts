"use client";

import { useCallback, useEffect, useState } from "react";
import { begun, changed, marked, redone, slid, undone } from "./history";
import { typing } from "./keys";

/** A value with undo and redo; letters typed into one field are one step. */
export function useHistory<T>(first: T) {
  const [history, setHistory] = useState(() => begun(first));
  const change = useCallback((to: T, typedAt?: string) => setHistory((was) => changed(was, to, typedAt)), []);
  const slide = useCallback((to: (now: T) => T) => setHistory((was) => slid(was, to(was.now))), []);
  const mark = useCallback(() => setHistory(marked), []);
  const undo = useCallback(() => setHistory(undone), []);
  const redo = useCallback(() => setHistory(redone), []);
  return {
    now: history.now,
    change,
    slide,
    mark,
    undo,
    redo,
    canUndo: history.past.length > 0,
    canRedo: history.future.length > 0,
  };
}

/** Ctrl-Z and Ctrl-Shift-Z, except where one is typing: there they belong to the field. */
export function useUndoKeys(undo: () => void, redo: () => void): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== "z" || typing(event)) return;
      event.preventDefault();
      if (event.shiftKey) redo();
      else undo();
    };
    addEventListener("keydown", onKey);
    return () => removeEventListener("keydown", onKey);
  }, [undo, redo]);
}
