"use client";

import { useCallback, useEffect, useRef, useState } from "react";
import { typing } from "./keys";

interface History<T> {
  readonly past: readonly T[];
  readonly now: T;
  readonly future: readonly T[];
}

const MOST_KEPT = 200;

/**
 * A value with undo and redo. Changes of one field after another are one step, so that letters are not undone singly;
 * `slide` changes it without a step of its own, for what moves under the finger.
 */
export function useHistory<T>(first: T) {
  const [history, setHistory] = useState<History<T>>({ past: [], now: first, future: [] });
  const field = useRef<string>(undefined);
  const change = useCallback((to: T, typedAt?: string) => {
    const typesOn = typedAt !== undefined && typedAt === field.current;
    field.current = typedAt;
    setHistory(({ past, now }) => ({
      past: typesOn ? past : [...past, now].slice(-MOST_KEPT),
      now: to,
      future: [],
    }));
  }, []);
  const slide = useCallback((to: (now: T) => T) => {
    setHistory((history) => ({ ...history, now: to(history.now) }));
  }, []);
  const mark = useCallback(() => {
    field.current = undefined;
    setHistory(({ past, now }) => ({ past: [...past, now].slice(-MOST_KEPT), now, future: [] }));
  }, []);
  const undo = useCallback(() => {
    field.current = undefined;
    setHistory((history) => {
      const before = history.past.at(-1);
      return before === undefined
        ? history
        : { past: history.past.slice(0, -1), now: before, future: [history.now, ...history.future] };
    });
  }, []);
  const redo = useCallback(() => {
    field.current = undefined;
    setHistory((history) => {
      const [next, ...future] = history.future;
      return next === undefined ? history : { past: [...history.past, history.now], now: next, future };
    });
  }, []);
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
