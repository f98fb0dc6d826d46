"use client";

import { useEffect, useState } from "react";

/**
 * What is edited is kept on the device until it is saved, so that a dead battery or a step back loses nothing.
 *
 * @param id of what is edited, with its revision: an older draft does not fit a newer one
 */
export function useDraft<Document>(id: string, stored: Document, now: Document) {
  const key = `loftbell.${id}`;
  const [found, setFound] = useState<Document>();
  useEffect(() => {
    try {
      const kept = localStorage.getItem(key);
      if (kept !== null) setFound(JSON.parse(kept) as Document);
    } catch {
      localStorage.removeItem(key);
    }
  }, [key]);
  useEffect(() => {
    if (now !== stored) localStorage.setItem(key, JSON.stringify(now));
  }, [now, stored, key]);
  return {
    found,
    dismiss: () => setFound(undefined),
    forget: () => {
      localStorage.removeItem(key);
      setFound(undefined);
    },
  };
}

export type Draft<Document> = ReturnType<typeof useDraft<Document>>;
