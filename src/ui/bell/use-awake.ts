"use client";

import { useEffect } from "react";

/** Whether this browser can keep the screen awake. */
export const canStayAwake = (): boolean => "wakeLock" in navigator;

/** Keeps the screen awake while this is shown: a job is read with hands that cannot wake it. */
export function useAwake(wanted: boolean): void {
  useEffect(() => {
    if (!wanted || !canStayAwake()) return;
    let held: WakeLockSentinel | undefined;
    let over = false;
    const hold = async () => {
      if (document.hidden || (held !== undefined && !held.released)) return;
      // Refused with an empty battery: then the battery matters more.
      held = await navigator.wakeLock.request("screen").catch(() => undefined);
      if (over) void held?.release();
    };
    void hold();
    document.addEventListener("visibilitychange", hold);
    return () => {
      over = true;
      document.removeEventListener("visibilitychange", hold);
      void held?.release();
    };
  }, [wanted]);
}
