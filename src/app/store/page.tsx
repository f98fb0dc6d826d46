import clsx from "clsx";
import type { Metadata } from "next";
import Link from "next/link";
import { asked, type SearchParams } from "@/app/list-query";
import { isDay } from "@/core/formats";
import { grouped } from "@/core/quantity";
import { isOwnPlace } from "@/core/store";
import { itemHref } from "@/server/find/item-href";
import { services } from "@/server/services";
import { endOfDay, type StockedItem, stockedItems } from "@/server/store/stock-list";
import { listAddress } from "@/ui/list/list-address";
import { Money } from "@/ui/money";
import { Empty } from "@/ui/notice";
import { Page } from "@/ui/page";
import { ScanLabel } from "@/ui/store/scan-label";
import { Shelf, ShelfLegend } from "@/ui/store/shelf";
import { Day } from "@/ui/when";
import { StockSearch } from "./stock-search";
import { StoreTabs } from "./store-tabs";
import { ITEM_KINDS, inDays, pcs } from "./store-words";

export const metadata: Metadata = { title: "Store" };

/** What may not be used any more soon: two months, as competences and calibrations are told. */
const SOON_MS = 60 * 86_400_000;
const PAGE = 60;

type Ask = {
  readonly find?: string;
  readonly place?: string;
  readonly show?: string;
  readonly on?: string;
  readonly page?: string;
};

export default async function StorePage({ searchParams }: { searchParams: SearchParams }) {
  const all = services();
  const stores = all.library.stores();
  const ask = asked(await searchParams) as Ask;
  const on = ask.on !== undefined && isDay(ask.on) ? ask.on : undefined;
  const now = all.now();
  const items = stores.flatMap((store) =>
    stockedItems(all, store, on === undefined ? undefined : endOfDay(on)),
  );
  const places = stores.flatMap((store) => store.places.map((place) => ({ ...place, store })));
  const titles = new Map(all.library.sheets().map(({ id, title }) => [id, title]));
  const aging = ({ until }: StockedItem) => until !== undefined && until - now < SOON_MS;
  const shows = { low: ({ low }: StockedItem) => low, aging } as const;
  const show = ask.show === "low" || ask.show === "aging" ? ask.show : undefined;
  const words = (ask.find ?? "").toLowerCase().split(/\s+/).filter(Boolean);
  const fitting = items
    .filter((item) => show === undefined || shows[show](item))
    .filter(
      ({ rows }) =>
        ask.place === undefined || rows.some(({ place, quantity }) => place === ask.place && quantity > 0),
    )
    .filter(({ name, item, known }) => {
      const text = [name, item.id, titles.get(item.sheet ?? ""), known?.code, known?.order]
        .join(" ")
        .toLowerCase();
      return words.every((word) => text.includes(word));
    })
    .sort((a, b) => Number(b.low) - Number(a.low) || a.name.localeCompare(b.name));
  const page = Math.max(1, Number(ask.page) || 1);
  const [first] = stores;
  const worth = items.reduce((sum, each) => sum + each.worth, 0);
  const chips = [
    { id: undefined, name: "Items", value: grouped(items.length), tone: "" },
    { id: "low", name: "Too few", value: String(items.filter(shows.low).length), tone: "text-stop" },
    { id: "aging", name: "Ageing out", value: String(items.filter(aging).length), tone: "text-wait" },
  ] as const;
  return (
    <Page
      title="Store"
      says="Kits, parts and supplies: what lies where, what of it is free, what is to be ordered."
      action={
        first === undefined ? (
          <Link href="/store/new" className="btn btn-go">
            Set up the store
          </Link>
        ) : (
          <>
            <ScanLabel />
            <Link href="/store/count" className="btn btn-go">
              Count a place
            </Link>
          </>
        )
      }
    >
      {first === undefined ? (
        <Empty>
          No store yet. Set one up with its van and shop, or bring in a loftbell.store file in the Loft: then
          jobs say which kit to take.
        </Empty>
      ) : (
        <>
          <StoreTabs at="/store" />
          <ul className="no-print grid grid-cols-2 gap-2 sm:grid-cols-4">
            {chips.map(({ id, name, value, tone }) => (
              <li key={name}>
                <Link
                  href={listAddress("/store", ask, { show: id })}
                  aria-current={show === id ? "true" : undefined}
                  className={clsx(
                    "card flex min-h-14 flex-wrap items-baseline justify-between gap-x-2 px-3 py-2",
                    show === id && "border-ink! bg-sunk!",
                  )}
                >
                  <span>{name}</span>
                  <span className={clsx("plate text-title", value !== "0" && tone)}>{value}</span>
                </Link>
              </li>
            ))}
            <li className="card flex min-h-14 min-w-0 flex-wrap items-baseline justify-between gap-x-2 px-3 py-2 [overflow-wrap:anywhere]">
              <span>Worth</span>
              <span className="plate break-words text-lead sm:whitespace-nowrap sm:text-title">
                <Money amount={worth} currency={first.currency} />
              </span>
            </li>
          </ul>
          <StockSearch
            ask={ask}
            places={places.map(({ id, name }) => ({ id, name }))}
            add={`/store/item/new?store=${encodeURIComponent(first.id)}`}
          />
          {on !== undefined && (
            <p role="status" className="text-wait">
              As it lay at the end of <Day at={Date.parse(on)} />, worked out from the ledger.
            </p>
          )}
          {fitting.length === 0 ? (
            <Empty>
              {items.length === 0
                ? "Nothing lies here yet. Add an item, or bring in a store."
                : "No item fits. Take a filter away, or search for less."}
            </Empty>
          ) : (
            <>
              <ShelfLegend />
              <ul className="card dashed px-4">
                {fitting.slice((page - 1) * PAGE, page * PAGE).map((item) => (
                  <li key={itemHref(item.store, item.item)}>
                    <StockRow
                      item={item}
                      currency={first.currency}
                      title={titles.get(item.item.sheet ?? "")}
                      aging={aging(item)}
                    />
                  </li>
                ))}
              </ul>
            </>
          )}
          {fitting.length > PAGE && (
            <nav aria-label="Pages" className="flex items-center justify-center gap-3">
              {page > 1 && (
                <Link href={listAddress("/store", ask, { page: page - 1 })} className="btn btn-quiet">
                  Before
                </Link>
              )}
              <span className="plate text-lead">
                {page} of {Math.ceil(fitting.length / PAGE)}
              </span>
              {page * PAGE < fitting.length && (
                <Link href={listAddress("/store", ask, { page: page + 1 })} className="btn btn-quiet">
                  Further
                </Link>
              )}
            </nav>
          )}
        </>
      )}
    </Page>
  );
}

function StockRow({
  item: { store, item, name, rows, free, pieces, low, until, known },
  currency,
  title,
  aging,
}: {
  item: StockedItem;
  currency: string;
  title: string | undefined;
  aging: boolean;
}) {
  const own = rows.filter(({ at }) => isOwnPlace(at));
  const sold = rows.filter(({ at }) => !isOwnPlace(at));
  return (
    <Link
      href={itemHref(store, item)}
      className="grid grid-cols-[minmax(0,1fr)_auto] gap-x-4 gap-y-1 py-2.5 lg:grid-cols-[minmax(0,21rem)_minmax(0,1fr)_8.5rem]"
    >
      <span className="min-w-0">
        <span className="block break-words font-semibold">{name}</span>
        <small className="block text-note text-soft">
          {[ITEM_KINDS[item.kind], title].filter(Boolean).join(", ")}
          {known?.order !== undefined && <span className="whitespace-nowrap">, {known.order}</span>}
        </small>
        {until !== undefined && aging && (
          <small className="block text-note text-wait">
            some hold only until <Day at={until} />
          </small>
        )}
      </span>
      <span className="order-last col-span-2 flex flex-wrap gap-x-6 gap-y-2 lg:order-none lg:col-span-1">
        {own.map(({ at, quantity, free, least }) => (
          <span key={at.id} className="min-w-[8.5rem]">
            <small className="block text-note text-soft">
              {at.name} <span className="text-ink">{pcs(quantity)}</span>
            </small>
            <Shelf pieces={quantity} free={free} least={least} />
          </span>
        ))}
        {sold.map(({ at, price }) => (
          <span key={at.id} className="min-w-[8.5rem] text-note text-soft">
            {at.name}
            <span className="block">
              {inDays(at.days)}, <Money amount={price} currency={currency} />
            </span>
          </span>
        ))}
      </span>
      <span className="text-right">
        <span className={clsx("plate block text-head", low && "text-stop")}>
          {pieces === 0 ? "none" : pcs(pieces)}
        </span>
        {(free < pieces || low) && (
          <small className={clsx("block text-note", low ? "text-stop" : "text-soft")}>
            {free < pieces ? `${free} free` : ""}
            {free < pieces && low ? ", " : ""}
            {low ? "too few" : ""}
          </small>
        )}
      </span>
    </Link>
  );
}
