/** The time of the server, on every answer. */
export const TIME_HEADER = "loftbell-time";

const SHELF = "loftbell.clock";
/** An answer that took longer tells too little of the clock. */
const SLOWEST_MS = 4000;
/** Less than this is the way there and back, and how people set clocks. */
const WORTH_TELLING_MS = 20_000;

/** By how much the clock of this device runs ahead of the server's, as measured last; ms, 0 when it is right or not known. */
export function clockAhead(): number {
  if (typeof localStorage === "undefined") return 0;
  const kept = Number(localStorage.getItem(SHELF) ?? 0);
  return Number.isFinite(kept) && Math.abs(kept) >= WORTH_TELLING_MS ? kept : 0;
}

/** The time by the server's clock, as far as this device knows it, ms. */
export const timeNow = (): number => Date.now() - clockAhead();

/** Measures this device's clock by an answer of the server's. */
export function measureClock(answer: Response, begun: number, now = Date.now()): void {
  const server = Number(answer.headers.get(TIME_HEADER) ?? Number.NaN);
  if (!Number.isFinite(server) || now < begun || now - begun > SLOWEST_MS) return;
  const ahead = (begun + now) / 2 - server;
  try {
    localStorage.setItem(SHELF, String(Math.round(ahead)));
  } catch {
    // A device that keeps nothing goes by its own clock.
  }
}

/** An entry made by a wrong clock, put right by what was measured, and marked. */
export function corrected<E extends { readonly at: string; readonly off_s?: number }>(
  event: E,
  ahead: number,
): E {
  if (ahead === 0 || event.off_s !== undefined) return event;
  return {
    ...event,
    at: new Date(Date.parse(event.at) - ahead).toISOString(),
    off_s: Math.round(ahead / 1000),
  };
}
