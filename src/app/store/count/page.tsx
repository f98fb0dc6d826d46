import type { Metadata } from "next";
import Link from "next/link";
import { asked, type SearchParams } from "@/app/list-query";
import { itemKey } from "@/core/formats";
import { isOwnPlace } from "@/core/store";
import { services } from "@/server/services";
import { Empty } from "@/ui/notice";
import { Page } from "@/ui/page";
import { ITEM_KINDS, pcs } from "../store-words";
import { CountList } from "./count-list";

export const metadata: Metadata = { title: "Count a place" };

export default async function CountPage({ searchParams }: { searchParams: SearchParams }) {
  const all = services();
  const { store: id, place: at } = asked(await searchParams);
  const places = all.library
    .stores()
    .flatMap((store) => store.places.filter(isOwnPlace).map((place) => ({ store, place })));
  const one = places.find(({ store, place }) => store.id === id && place.id === at);
  const titles = new Map(all.library.sheets().map((sheet) => [sheet.id, sheet.title]));
  if (one === undefined)
    return (
      <Page title="Count a place" says="Which one do you stand before?">
        {places.length === 0 && <Empty>No van and no shop yet. Set up the store first.</Empty>}
        <ul className="grid grid-cols-1 gap-2 sm:grid-cols-2">
          {places.map(({ store, place }) => (
            <li key={`${store.id} ${place.id}`}>
              <Link
                href={`/store/count?${new URLSearchParams({ store: store.id, place: place.id })}`}
                className="card flex min-h-16 items-center justify-between gap-3 px-4 text-lead"
              >
                <b>{place.name}</b>
                <span className="text-soft">
                  {store.stock.filter((row) => row.place === place.id && row.quantity > 0).length} items on
                  the books
                </span>
              </Link>
            </li>
          ))}
        </ul>
      </Page>
    );
  const { store, place } = one;
  const known = new Map((store.items ?? []).map((each) => [itemKey(each.item), each]));
  const counted = all.movements.lastCounted(store.id, place.id);
  const rows = store.stock
    .filter((row) => row.place === place.id)
    .map(({ item, name, quantity }) => {
      const key = itemKey(item);
      const last = counted.get(key);
      return {
        item,
        key,
        name,
        quantity,
        says: [ITEM_KINDS[item.kind], titles.get(item.sheet ?? "")].filter(Boolean).join(", "),
        labels: [item.id, known.get(key)?.code, known.get(key)?.order].filter(
          (each): each is string => each !== undefined,
        ),
        ...(last !== undefined && { last }),
      };
    })
    .sort((a, b) => a.name.localeCompare(b.name));
  const here = new Set(rows.map(({ key }) => key));
  const others = new Map(
    store.stock.flatMap(({ item, name }) =>
      here.has(itemKey(item)) ? [] : [[itemKey(item), { item, name }] as const],
    ),
  );
  return (
    <Page
      title={`Count ${place.name}`}
      says={`${pcs(rows.reduce((sum, { quantity }) => sum + quantity, 0))} of ${rows.length} items on the books.`}
    >
      <CountList
        key={place.id}
        store={store.id}
        place={place.id}
        rows={rows}
        others={[...others].map(([key, other]) => ({ key, ...other }))}
      />
    </Page>
  );
}
