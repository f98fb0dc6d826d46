import type { Hides, Identity } from "@/core/instruments";

/** What was connected on this device, so that it is again after a reload. Ports are remembered by the browser. */
export type Remembered =
  | { readonly by: "simulated"; readonly is: Identity }
  | { readonly by: "socket"; readonly address: string }
  | { readonly by: "serial"; readonly baud: number };

const SHELF = "loftbell.instruments";
const HIDES_SHELF = "loftbell.hides";

export function remembered(): readonly Remembered[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(SHELF) ?? "[]");
    return Array.isArray(kept) ? kept : [];
  } catch {
    return [];
  }
}

const same = (a: Remembered, b: Remembered): boolean => JSON.stringify(a) === JSON.stringify(b);

export const remember = (one: Remembered): void =>
  keep([...remembered().filter((each) => !same(each, one)), one]);
export const forget = (one: Remembered): void => keep(remembered().filter((each) => !same(each, one)));

function keep(all: readonly Remembered[]): void {
  try {
    localStorage.setItem(SHELF, JSON.stringify(all));
  } catch {
    // A device that keeps nothing connects anew.
  }
}

/** What the valve hides from simulated instruments on this device. */
export const hiding = (): Hides => (localStorage.getItem(HIDES_SHELF) as Hides | null) ?? "by-the-valve";
export const hide = (what: Hides): void => localStorage.setItem(HIDES_SHELF, what);
