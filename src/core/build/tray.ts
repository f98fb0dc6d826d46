import type { Sheet } from "../formats";

/** Where a part that came off is now. */
export type TrayPlace = "on-tray" | "back-in" | "renewed";

export interface TrayItem {
  readonly part: string;
  readonly name: string;
  readonly quantity: number;
  /** Its turn in coming off, from 1. */
  readonly order: number;
  readonly place: TrayPlace;
  readonly keep?: string;
  readonly renew: boolean;
}

export interface TrayAccount {
  readonly items: readonly TrayItem[];
  readonly off: number;
  readonly back: number;
  /** Items (not pieces) that came off and are neither back nor renewed. */
  readonly missing: readonly TrayItem[];
  readonly balances: boolean;
}

/**
 * The tray at any moment: what came off, in order, and where it is now.
 *
 * @param taken parts in the order they came off · @param fitted parts that went back · @param renew parts whose new
 * one goes in instead
 */
export function trayAccount(
  sheet: Sheet,
  taken: readonly string[],
  fitted: ReadonlySet<string>,
  renew: ReadonlySet<string>,
): TrayAccount {
  const parts = new Map(sheet.parts.map((part) => [part.id, part]));
  const items = taken.map((id, index): TrayItem => {
    const part = parts.get(id);
    if (part === undefined) throw new Error(`the tray holds "${id}", which the sheet does not know`);
    const place = !fitted.has(id) ? "on-tray" : renew.has(id) ? "renewed" : "back-in";
    return {
      part: id,
      name: part.name,
      quantity: part.quantity,
      order: index + 1,
      place,
      ...(part.keep !== undefined && { keep: part.keep }),
      renew: renew.has(id),
    };
  });
  const missing = items.filter((item) => item.place === "on-tray");
  return {
    items,
    off: items.length,
    back: items.length - missing.length,
    missing,
    balances: missing.length === 0,
  };
}
