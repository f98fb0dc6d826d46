"use client";

import { useEffect, useState } from "react";
import type { Sheet } from "@/core/formats";

const keepAs = (id: string, revision: number) => `loftbell.sheet-draft.${id}.${revision}`;

/** What is edited is kept on the device until it is saved, so that a dead battery loses nothing. */
export function useDraft(first: Sheet, sheet: Sheet, id: string) {
  const key = keepAs(id === "new" ? first.id : id, first.revision);
  const [found, setFound] = useState<Sheet>();
  useEffect(() => {
    try {
      const kept = localStorage.getItem(key);
      if (kept !== null) setFound(JSON.parse(kept) as Sheet);
    } catch {
      localStorage.removeItem(key);
    }
  }, [key]);
  useEffect(() => {
    if (sheet !== first) localStorage.setItem(key, JSON.stringify(sheet));
  }, [sheet, first, key]);
  return {
    found,
    dismiss: () => setFound(undefined),
    forget: () => {
      localStorage.removeItem(key);
      setFound(undefined);
    },
  };
}
