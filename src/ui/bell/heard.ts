import type { Heard } from "@/core/ringing";
import { timeNow } from "@/edge/clock";

/** What this device has heard: one key, which its open pages share. */
const KEY = "loftbell.heard";
/** Told to this page; the others hear of it from the browser. */
const HEARD = "loftbell-heard";
/** What is silent no more is forgotten after that, ms. */
const FORGET_MS = 2 * 86_400_000;

let read: { readonly raw: string | null; readonly heard: Heard } | undefined;

/** The same object while nothing changed. Whoever opens Loft Bell for the first time has heard all before. */
export function heardHere(): Heard {
  const raw = localStorage.getItem(KEY);
  if (read?.raw !== raw || read === undefined) read = { raw, heard: parsed(raw) };
  return read.heard;
}

function parsed(raw: string | null): Heard {
  try {
    const kept = JSON.parse(raw ?? "null") as Partial<Heard> | null;
    if (typeof kept?.upTo === "number" && typeof kept.silent === "object") return kept as Heard;
  } catch {
    // Meddled with: as a device that has heard nothing yet.
  }
  return { silent: {}, upTo: timeNow() };
}

function write(heard: Heard): void {
  const silent = Object.fromEntries(
    Object.entries(heard.silent).filter(([, until]) => until > timeNow() - FORGET_MS),
  );
  localStorage.setItem(KEY, JSON.stringify({ ...heard, silent }));
  dispatchEvent(new Event(HEARD));
}

/** Silent on this device until then, ms. */
export function silence(bell: string, until: number): void {
  const heard = heardHere();
  write({ ...heard, silent: { ...heard.silent, [bell]: until } });
}

/** All that is struck once and was due by then (ms) has been heard here. */
export const heardUpTo = (at: number): void => write({ ...heardHere(), upTo: at });

export function onHeard(told: () => void): () => void {
  addEventListener(HEARD, told);
  addEventListener("storage", told);
  return () => {
    removeEventListener(HEARD, told);
    removeEventListener("storage", told);
  };
}
