"use client";

import { format } from "date-fns";
import { useEffect, useState } from "react";
import { formatDuration } from "@/core/quantity";
import { timeNow } from "@/edge/clock";

/**
 * The time by the server's clock, renewed every `every` ms; null until the browser has it, so that server and browser
 * draw the same.
 */
export function useNow(every: number): number | null {
  const [now, setNow] = useState<number | null>(null);
  useEffect(() => {
    const tell = () => setNow(timeNow());
    tell();
    const timer = setInterval(tell, every);
    return () => clearInterval(timer);
  }, [every]);
  return now;
}

const DAY = 86_400_000;

/** When something rings, as one reads it at a glance: 0:38, 2 h 05, today, Thu, 12 d, 2 May. */
export function shortWhen(at: number, now: number): string {
  const left = at - now;
  if (left < 0) {
    const late = -left;
    if (late < DAY && new Date(at).getDate() === new Date(now).getDate()) return "now";
    return `${Math.max(1, Math.round(late / DAY))} d late`;
  }
  if (left < 3_600_000) {
    const seconds = Math.ceil(left / 1000);
    return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, "0")}`;
  }
  if (left < 14 * 3_600_000) return formatDuration(left / 1000);
  if (left < 6 * DAY) return format(at, "EEE");
  if (left < 21 * DAY) return `${Math.round(left / DAY)} d`;
  return format(at, left < 300 * DAY ? "d MMM" : "MMM yyyy");
}

export function When({ at }: { at: number }) {
  const now = useNow(1000);
  return <span suppressHydrationWarning>{now === null ? "…" : shortWhen(at, now)}</span>;
}

/** A date in full; the server may stand in another zone, so the browser has the last word. */
export function Day({ at, time = false }: { at: number; time?: boolean }) {
  return (
    <time dateTime={new Date(at).toISOString()} suppressHydrationWarning>
      {format(at, time ? "d MMM yyyy, HH:mm" : "d MMM yyyy")}
    </time>
  );
}
