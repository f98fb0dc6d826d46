import type { Notation } from "@/core/quantity";
import { itemHref } from "@/server/find/item-href";
import type { Services } from "@/server/services";
import type { ListedMovement } from "@/server/store/stock-list";
import type { LedgerEntry } from "@/ui/store/ledger-list";
import { moneyWords, moveKind, speaker } from "@/words";
import { pcs } from "./store-words";

/** Entries as a list shows them. */
export function ledgerEntries(
  { library }: Services,
  entries: readonly ListedMovement[],
  notation: Notation,
): LedgerEntry[] {
  const stores = new Map(library.stores().map((store) => [store.id, store]));
  return entries.map((entry) => {
    const {
      id,
      kind,
      at,
      by,
      name,
      place,
      to,
      quantity,
      change,
      batches = [],
      job,
      order,
      why,
      short,
    } = entry;
    const store = stores.get(entry.store);
    const placed = (each: string) => store?.places.find((known) => known.id === each)?.name ?? each;
    return {
      id,
      seq: entry.seq,
      at: Date.parse(at),
      by,
      what: moveKind(speaker(), kind),
      name,
      href: itemHref(entry.store, entry.item),
      where: to === undefined ? placed(place) : `${placed(place)} to ${placed(to)}`,
      pieces:
        kind === "priced" || (short !== undefined && quantity === 0)
          ? ""
          : kind === "counted"
            ? `${pcs(quantity)} (${change >= 0 ? "+" : ""}${change})`
            : kind === "aside" || kind === "freed" || kind === "moved"
              ? pcs(quantity)
              : `${change > 0 ? "+" : ""}${change}`,
      more: [
        ...(entry.price === undefined
          ? []
          : [`at ${moneyWords(notation, entry.price, store?.currency ?? "")}`]),
        ...batches.map(({ until, quantity }) => `${quantity} until ${until}`),
        ...(order === undefined ? [] : [`order ${order}`]),
        ...(why === undefined ? [] : [why]),
        ...(short === undefined ? [] : [`${pcs(short)} more than the books had: count it`]),
      ],
      ...(job !== undefined && { job }),
      undone: entry.undone,
      canUndo: kind !== "undone" && !entry.undone,
    };
  });
}
