import type { Sheet } from "../formats";

/** Where a part that came off is now. */
export type TrayPlace = "on-tray" | "back-in" | "renewed";

export interface TrayItem {
  readonly part: string;
  readonly name: string;
  readonly quantity: number;
  /** Pieces counted as they came out. */
  readonly counted: number;
  /** Its turn in coming off, from 1. */
  readonly order: number;
  readonly place: TrayPlace;
  readonly keep?: string;
  readonly renew: boolean;
  /** It was only slackened, and sits where it sat. */
  readonly slackened?: true;
  /** It lies on a tray of its own, with what it is put together with. */
  readonly assembly?: string;
  /** The part a fastener came from: it goes back to that place and no other. */
  readonly from?: string;
}

export interface TrayAccount {
  readonly items: readonly TrayItem[];
  readonly off: number;
  readonly back: number;
  /** Items (not pieces) that came off and are neither back nor renewed. */
  readonly missing: readonly TrayItem[];
  /** Items of which fewer pieces came out than the valve has, and that go in again: the rest is in the valve or lost. */
  readonly short: readonly TrayItem[];
  readonly balances: boolean;
}

export interface TrayState {
  /** Parts in the order they came off. */
  readonly taken: readonly string[];
  /** Parts that went back. */
  readonly fitted: ReadonlySet<string>;
  /** Parts whose new one goes in instead. */
  readonly renew: ReadonlySet<string>;
  /** Pieces counted out and in, where they were counted. */
  readonly counted?: ReadonlyMap<string, number>;
  readonly fittedCount?: ReadonlyMap<string, number>;
}

/** The tray at any moment: what came off, in order, how many pieces, and where it is now. */
export function trayAccount(sheet: Sheet, state: TrayState): TrayAccount {
  const parts = new Map(sheet.parts.map((part) => [part.id, part]));
  const items = state.taken.map((id, index): TrayItem => {
    const part = parts.get(id);
    if (part === undefined) throw new Error(`the tray holds "${id}", which the sheet does not know`);
    const place = !state.fitted.has(id) ? "on-tray" : state.renew.has(id) ? "renewed" : "back-in";
    const from = fastened(sheet, id);
    const assembly = sheet.assemblies?.find((each) => each.parts.includes(id))?.name;
    return {
      part: id,
      name: part.name,
      quantity: part.quantity,
      counted: state.fittedCount?.get(id) ?? state.counted?.get(id) ?? part.quantity,
      order: index + 1,
      place,
      ...(part.keep !== undefined && { keep: part.keep }),
      ...(part.slackened === true && { slackened: true as const }),
      ...(from !== undefined && { from }),
      ...(assembly !== undefined && { assembly }),
      renew: state.renew.has(id),
    };
  });
  const missing = items.filter((item) => item.place === "on-tray");
  const short = items.filter((item) => item.counted < item.quantity && !item.renew);
  return {
    items,
    off: items.length,
    back: items.length - missing.length,
    missing,
    short,
    balances: missing.length === 0 && short.length === 0,
  };
}

/** The first part that these fasteners hold, by the sheet's order: the joint they came from. */
function fastened(sheet: Sheet, id: string): string | undefined {
  if (sheet.parts.find((part) => part.id === id)?.fastener === undefined) return undefined;
  return sheet.parts.find(
    (part) => part.fastener === undefined && part.ways.some((way) => way.heldBy.includes(id)),
  )?.name;
}
