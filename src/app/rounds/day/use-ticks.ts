"use client";

import { useEffect, useState } from "react";

/** Ticks of one list, kept on this device: whoever packs is called away in between. */
export function useTicks(list: string): readonly [ReadonlySet<string>, (what: string) => void] {
  const shelf = `loftbell ticks ${list}`;
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set());
  useEffect(() => {
    const kept: unknown = JSON.parse(localStorage.getItem(shelf) ?? "[]");
    setTicked(new Set(Array.isArray(kept) ? kept.map(String) : []));
  }, [shelf]);
  const turn = (what: string) => {
    const now = new Set(ticked.has(what) ? [...ticked].filter((each) => each !== what) : [...ticked, what]);
    setTicked(now);
    localStorage.setItem(shelf, JSON.stringify([...now]));
  };
  return [ticked, turn];
}
