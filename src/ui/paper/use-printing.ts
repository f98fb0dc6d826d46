"use client";

import { useEffect, useState } from "react";
import { useSettings } from "../settings";

/** How whoever reads wants a paper printed. */
export function usePrinting() {
  const { system, mark } = useSettings();
  const [zone, setZone] = useState<string>();
  useEffect(() => setZone(Intl.DateTimeFormat().resolvedOptions().timeZone), []);
  return { size: system === "us" ? "LETTER" : "A4", units: system, mark, zone } as const;
}
