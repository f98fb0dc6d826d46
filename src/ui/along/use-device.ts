"use client";

import { useEffect } from "react";
import { deviceStore } from "@/device/store";
import { startSync } from "@/device/sync";
import { keepWorker } from "@/device/worker";
import { useSpeaker } from "../use-speaker";

/** Sends what lies on this device, and keeps what is needed without signal; on every screen. */
export function useDevice(): void {
  const unsaid = useSpeaker().say.card.notStored.refused;
  useEffect(() => startSync({ store: deviceStore(), now: Date.now, unsaid }), [unsaid]);
  useEffect(() => {
    // The page first: what is fetched for later must not hold it up.
    const later = setTimeout(() => void keepWorker(process.env.LOFTBELL_BUILD ?? ""), 1500);
    return () => clearTimeout(later);
  }, []);
}
