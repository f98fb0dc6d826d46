import type { Item, Movement, Store } from "@/core/formats";
import { type Run, storeUse } from "@/core/job";
import { type Asked, isOwnPlace, moved, placeMeant, rowAt } from "@/core/store";
import type { Services } from "../services";

/**
 * Books what a signed job took out of the store, by what was really fitted, and what it brings back of opened kits. It
 * never holds a signature up: what the books do not have is noted as short, to be counted.
 */
export function bookUse({ library, movements, newId, now }: Services, job: Run): void {
  const { taken, back } = storeUse(job);
  const at = new Date(now()).toISOString();
  const by = job.progress.signedOff?.by ?? job.inputs.openedBy;
  const stores = new Map(library.stores().map((store) => [store.id, store]));
  const entries: Movement[] = [];
  const book = (store: Store, asked: Omit<Asked, "id" | "at" | "by" | "job">) => {
    const done = moved(stores.get(store.id)!, { ...asked, id: newId(), at, by, job: job.inputs.id });
    if (!done.ok) return;
    stores.set(store.id, done.value.store);
    entries.push(done.value.entry);
  };
  for (const { item, name, from, pieces } of taken) {
    const meant = placeMeant([...stores.values()], from);
    if (meant === undefined) continue;
    let left = pieces;
    for (const [place, have] of placesOf(stores.get(meant.store.id)!, item, meant.place.id)) {
      const quantity = Math.min(left, have);
      left -= quantity;
      if (quantity > 0) book(meant.store, { kind: "used", item, name, place, quantity });
    }
    // What came straight from a supplier never lay on the books.
    if (left > 0 && isOwnPlace(meant.place))
      book(meant.store, { kind: "used", item, name, place: meant.place.id, quantity: 0, short: left });
  }
  for (const { item, name, from, pieces } of back) {
    const meant = placeMeant([...stores.values()], from);
    const place = meant && (!isOwnPlace(meant.place) ? ownPlace(meant.store) : meant.place.id);
    if (meant !== undefined && place !== undefined)
      book(meant.store, { kind: "back", item, name, place, quantity: pieces });
  }
  if (entries.length === 0) return;
  for (const store of stores.values()) library.saveStore(store);
  movements.add(entries);
}

/** Own places where it lies, that from which it was to be taken first, then what is soonest in hand. */
function placesOf(store: Store, item: Item, first: string): [string, number][] {
  return store.places
    .filter(isOwnPlace)
    .sort((a, b) => Number(b.id === first) - Number(a.id === first) || a.days - b.days)
    .map(({ id }) => [id, rowAt(store, item, id)?.quantity ?? 0]);
}

const ownPlace = ({ places }: Store): string | undefined => places.find(isOwnPlace)?.id;
