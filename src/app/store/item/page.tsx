import clsx from "clsx";
import type { Metadata } from "next";
import Link from "next/link";
import { notFound } from "next/navigation";
import type { SearchParams } from "@/app/list-query";
import { readSettings } from "@/app/settings";
import { itemKey } from "@/core/formats";
import { changeAt, isOwnPlace } from "@/core/store";
import { itemHref } from "@/server/find/item-href";
import { services } from "@/server/services";
import { endOfDay, type LyingRow, stockedItem } from "@/server/store/stock-list";
import { Money } from "@/ui/money";
import { Page, Panel } from "@/ui/page";
import { LedgerList } from "@/ui/store/ledger-list";
import { Shelf } from "@/ui/store/shelf";
import { Day } from "@/ui/when";
import { ledgerEntries } from "../ledger-entries";
import { ITEM_KINDS, inDays, pcs } from "../store-words";
import { askedItem } from "./asked-item";
import { BookIt } from "./book-it";
import { ItemCourse } from "./item-course";
import { TakeItemAway } from "./take-item-away";

export const metadata: Metadata = { title: "Store" };

export default async function ItemPage({ searchParams }: { searchParams: SearchParams }) {
  const named = await askedItem(searchParams);
  const all = services();
  const known = named && stockedItem(all, named.store, named.item);
  if (named === undefined || known === undefined) notFound();
  const { store, found, entries } = known;
  const { item, rows, name } = found;
  const sheet = item.sheet === undefined ? undefined : all.library.sheet(item.sheet);
  const fits = item.sheet === undefined ? 0 : all.register.ofSheet(item.sheet).length;
  const now = all.now();
  const own = rows.filter(({ at }) => isOwnPlace(at));
  const sold = rows.filter(({ at }) => !isOwnPlace(at));
  const nameOf = (other: typeof item) =>
    store.stock.find((row) => itemHref("", row.item) === itemHref("", other))?.name ?? other.id;
  return (
    <Page
      title={name}
      says={[ITEM_KINDS[item.kind], item.id, sheet?.title].filter(Boolean).join(", ")}
      action={
        <>
          <Link href={`/store/item/edit?${itemHref(store.id, item).split("?")[1]}`} className="btn btn-quiet">
            Change
          </Link>
          <Link
            href={`/loft/labels?${new URLSearchParams({ of: "store-items", in: store.id, only: itemKey(item) })}`}
            className="btn btn-quiet"
          >
            Label
          </Link>
          <TakeItemAway store={store.id} item={item} name={name} />
        </>
      }
    >
      <div className="grid grid-cols-1 items-start gap-4 lg:grid-cols-[minmax(0,1fr)_400px]">
        <div className="flex min-w-0 flex-col gap-4">
          <Panel
            title="Where it lies"
            note={found.pieces === 0 ? "none" : `${pcs(found.pieces)}, ${found.free} free`}
          >
            <ul className="dashed">
              {own.map((row) => (
                <PlaceRow key={row.place} row={row} now={now} currency={store.currency} />
              ))}
            </ul>
            {own.length === 0 && (
              <p className="text-soft">At no place of one’s own yet. Book in what comes.</p>
            )}
          </Panel>
          <ItemCourse
            now={now}
            places={own.map(({ at, quantity, least }) => ({
              name: at.name,
              pieces: quantity,
              ...(least !== undefined && { least }),
              changes: entries
                .map((entry) => ({ at: Date.parse(entry.at), change: changeAt(entry, at.id) }))
                .filter(({ change }) => change !== 0),
            }))}
            prices={entries.flatMap(({ at, price, place }) =>
              price === undefined
                ? []
                : [
                    {
                      at: Date.parse(at),
                      price,
                      place: store.places.find(({ id }) => id === place)?.name ?? place,
                    },
                  ],
            )}
            currency={store.currency}
          />
        </div>
        <div className="flex flex-col gap-4">
          <BookIt
            store={store.id}
            item={item}
            name={name}
            currency={store.currency}
            places={store.places.filter(isOwnPlace).map(({ id, name }) => {
              const row = own.find((each) => each.place === id);
              return {
                id,
                name,
                pieces: row?.quantity ?? 0,
                aside: row?.aside ?? [],
                days: (row?.batches ?? []).map(({ until }) => until),
              };
            })}
          />
          <Panel title="Bought from">
            {sold.length === 0 && found.known?.supplier === undefined && (
              <p className="text-soft">No supplier is known. Change it, then it comes on the order list.</p>
            )}
            <ul className="dashed">
              {sold.map(({ at, price, quantity }) => (
                <li key={at.id} className="flex justify-between gap-3 py-2">
                  <span>
                    {at.name}
                    <small className="block text-note text-soft">
                      {[at.contact, `${inDays(at.days)}`, `has ${pcs(quantity)}`].filter(Boolean).join(", ")}
                    </small>
                  </span>
                  <span className="plate text-lead">
                    <Money amount={price} currency={store.currency} />
                  </span>
                </li>
              ))}
            </ul>
            <dl className="mt-1 grid grid-cols-[minmax(0,auto)_minmax(0,1fr)] gap-x-4 gap-y-1">
              {found.known?.order !== undefined && (
                <>
                  <dt className="text-soft">Order number</dt>
                  <dd className="plate min-w-0 break-words text-lead">{found.known.order}</dd>
                </>
              )}
              {found.known?.pack !== undefined && (
                <>
                  <dt className="text-soft">Sold by</dt>
                  <dd>{pcs(found.known.pack)}</dd>
                </>
              )}
              {found.known?.code !== undefined && (
                <>
                  <dt className="text-soft">Label</dt>
                  <dd className="plate min-w-0 break-words text-lead">{found.known.code}</dd>
                </>
              )}
              {found.known?.replacedBy !== undefined && (
                <>
                  <dt className="text-wait">Replaced by</dt>
                  <dd>
                    <Link
                      href={itemHref(store.id, found.known.replacedBy)}
                      className="underline underline-offset-4"
                    >
                      {nameOf(found.known.replacedBy)}
                    </Link>
                  </dd>
                </>
              )}
              {(found.known?.instead ?? []).map((other) => (
                <div key={itemHref("", other)} className="contents">
                  <dt className="text-soft">Serves as well</dt>
                  <dd>
                    <Link href={itemHref(store.id, other)} className="underline underline-offset-4">
                      {nameOf(other)}
                    </Link>
                  </dd>
                </div>
              ))}
            </dl>
          </Panel>
          {sheet !== undefined && (
            <Panel title="Fits">
              <Link href={`/sheets/${sheet.id}`} className="underline underline-offset-4">
                {sheet.title}
              </Link>
              <p className="text-soft">
                {fits} {fits === 1 ? "valve" : "valves"} of it in the register
              </p>
            </Panel>
          )}
        </div>
      </div>
      <Panel title="Ledger" note={`${entries.length} ${entries.length === 1 ? "entry" : "entries"}`}>
        <LedgerList entries={ledgerEntries(all, entries, await readSettings())} named={false} />
      </Panel>
    </Page>
  );
}

function PlaceRow({
  row: { at, quantity, free, least, price, held, aside = [], batches = [] },
  now,
  currency,
}: {
  row: LyingRow;
  now: number;
  currency: string;
}) {
  return (
    <li className="grid grid-cols-[minmax(0,1fr)_auto] gap-x-4 gap-y-1 py-3">
      <span className="min-w-0">
        <b>{at.name}</b>
        <small className="text-note text-soft">
          {least !== undefined && ` at least ${pcs(least)},`} <Money amount={price} currency={currency} />{" "}
          each
        </small>
      </span>
      <span
        className={clsx("plate text-right text-title", least !== undefined && free < least && "text-stop")}
      >
        {pcs(quantity)}
      </span>
      <span className="col-span-2">
        <Shelf pieces={quantity} free={free} least={least} />
      </span>
      {held.map(({ job, pieces }) => (
        <Link
          key={job}
          href={`/jobs/${encodeURIComponent(job)}`}
          className="col-span-2 min-h-11 content-center underline underline-offset-4"
        >
          {pcs(pieces)} for an open job
        </Link>
      ))}
      {aside.map((each) => (
        <span key={each.for} className="col-span-2">
          {pcs(each.quantity)} put aside for {each.for}
        </span>
      ))}
      {batches.map(({ until, quantity }) => (
        <span
          key={until}
          className={clsx("col-span-2", endOfDay(until) < now ? "font-semibold text-stop" : "text-soft")}
        >
          {pcs(quantity)} {endOfDay(until) < now ? "ran out on" : "until"} <Day at={Date.parse(until)} />
          {endOfDay(until) < now && (quantity === 1 ? ": throw it away" : ": throw them away")}
        </span>
      ))}
    </li>
  );
}
