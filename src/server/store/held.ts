import type { Store } from "@/core/formats";
import { freeStock, type Held, isOwnPlace, placeMeant } from "@/core/store";
import type { Services } from "../services";

/** What open jobs count on, at the places it lies: a supplier's is ordered, and holds nobody back. */
export function heldNow({ summaries, library }: Services, except?: string): Held[] {
  const stores = library.stores();
  return summaries.taking().flatMap(({ job, valve, takes }) =>
    job === except
      ? []
      : takes.flatMap(({ item, from, pieces }): Held[] => {
          const meant = placeMeant(stores, from);
          return meant === undefined || !isOwnPlace(meant.place)
            ? []
            : [{ store: meant.store.id, place: meant.place.id, item, pieces, job, valve }];
        }),
  );
}

interface Free {
  readonly of: readonly Store[];
  readonly key: string;
  readonly stores: readonly Store[];
}
const FREE = "free stock";
const DAY_MS = 86_400_000;

/** The stores with what is free in them: the same objects as long as nothing of it changes. */
export function freeStores(services: Services): readonly Store[] {
  const of = services.library.stores();
  const held = heldNow(services);
  // A day that ends may end what may be used.
  const day = Math.floor(services.now() / DAY_MS);
  const key = JSON.stringify([held, day]);
  const known = services.kept.get(FREE) as Free | undefined;
  if (known?.of === of && known.key === key) return known.stores;
  const stores = freeStock(of, held, services.now());
  services.kept.set(FREE, { of, key, stores } satisfies Free);
  return stores;
}
