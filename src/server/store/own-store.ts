import { type Item, type ItemCard, itemKey, type Store, type StoreHead, sameItem } from "@/core/formats";
import { err, type Problem, type Result } from "@/core/result";
import { cardOf, withCard, withoutItem } from "@/core/store";
import type { Edited } from "../book/edit";
import { type Handed, type Saved, saveThing } from "../own/save-thing";
import type { Services } from "../services";

const gone = (id: string): Result<never, Problem[]> =>
  err([{ path: "", message: `There is no store "${id}" any more. Load the page again.` }]);

const storeOf = ({ library }: Services, id: string): Store | undefined =>
  library.stores().find((each) => each.id === id);

/** Keeps a store's name, currency, rates and places: a new store, or one that is here. What lies in it stays. */
export function saveStoreHead(
  services: Services,
  id: string,
  { was, row }: Handed<StoreHead>,
  by: string,
): Result<Saved, Problem[]> {
  const now = storeOf(services, id);
  if (now === undefined) return saveThing(services, "store", undefined, { row: { ...row, stock: [] } }, by);
  const { stock, items } = now;
  const whole = (head: StoreHead): Store => ({ ...head, stock, ...(items !== undefined && { items }) });
  return saveThing(
    services,
    "store",
    id,
    { row: whole(row), ...(was !== undefined && { was: whole(was) }) },
    by,
  );
}

/** Where a field of an item stands in its form: the rows of a store have numbers that nobody sees. */
const atField = (card: ItemCard, problems: readonly Problem[]): Problem[] =>
  problems.map(({ path, message }) => {
    const known = /^\/items\/(?:\d+|[^/]+)\/(\w+)/.exec(path);
    if (known !== null) return { path: `/row/${known[1]}`, message };
    const lies = card.lies.findIndex(({ place }) => path.includes(`/${place} ${itemKey(card.item)}`));
    return { path: lies === -1 ? path : `/row/lies/${lies}/${path.split("/").at(-1)}`, message };
  });

/** Keeps what is known of an item, a new one or one that is here: prices, least levels, who sells it, its label. */
export function saveItem(
  services: Services,
  id: string,
  { was, row }: Handed<ItemCard>,
  by: string,
): Result<Saved, Problem[]> {
  const now = storeOf(services, id);
  if (now === undefined) return gone(id);
  const known = cardOf(now, row.item);
  if (was === undefined && known !== undefined)
    return err([{ path: "/row/name", message: `"${known.name}" is in this store already. Open it there.` }]);
  const twice = row.lies.findIndex(
    ({ place }, index) => row.lies.findIndex((each) => each.place === place) < index,
  );
  if (twice !== -1)
    return err([{ path: `/row/lies/${twice}/place`, message: "This place stands here twice." }]);
  const label =
    row.code && (now.items ?? []).find(({ code, item }) => code === row.code && !sameItem(item, row.item));
  if (label)
    return err([
      { path: "/row/code", message: `This label is that of "${cardOf(now, label.item)?.name}" already.` },
    ]);
  const done = saveThing(
    services,
    "store",
    id,
    { row: withCard(now, row), was: was === undefined ? now : withCard(now, was) },
    by,
  );
  return done.ok ? done : err(atField(row, done.error));
}

/** Takes an item out of a store, where nothing of it lies and nothing of it is coming. */
export function removeItem(
  services: Services,
  id: string,
  item: Item,
  by: string,
): Result<Edited, Problem[]> {
  const now = storeOf(services, id);
  if (now === undefined) return gone(id);
  const places = now.stock.filter((row) => sameItem(row.item, item) && row.quantity > 0);
  const kinds = new Map(now.places.map((place) => [place.id, place]));
  const lying = places.filter(({ place }) => kinds.get(place)?.kind !== "supplier");
  if (lying.length > 0)
    return err([
      {
        path: "",
        message: `It has to stay: ${lying.map(({ place, quantity }) => `${quantity} at ${kinds.get(place)?.name}`).join(", ")}. Book them out, or count them, first.`,
      },
    ]);
  return saveThing(services, "store", id, { was: now, row: withoutItem(now, item) }, by);
}
