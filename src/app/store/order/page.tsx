import type { Metadata } from "next";
import Link from "next/link";
import { itemHref } from "@/server/find/item-href";
import { services } from "@/server/services";
import { ordering } from "@/server/store/stock-list";
import { Empty } from "@/ui/notice";
import { Page, Panel } from "@/ui/page";
import { NotForYou } from "@/ui/people/not-for-you";
import { PrintButton } from "@/ui/print-button";
import { StoreTabs } from "../store-tabs";
import { pcs } from "../store-words";
import { ComingOrder } from "./coming-order";
import { ShiftList } from "./shift-list";
import { SupplierOrder } from "./supplier-order";

export const metadata: Metadata = { title: "To order" };

const DAY_MS = 86_400_000;
const day = (at: number) => new Date(at).toISOString().slice(0, "2026-01-01".length);
/** Orders that have come, kept in sight for a while. */
const MOST_OVER = 8;

export default function OrderPage() {
  const all = services();
  const now = all.now();
  const stores = ordering(all);
  const uncounted = all.movements.uncounted();
  const nothing = stores.every(
    ({ list, orders }) => list.shift.length + list.order.length + orders.length === 0,
  );
  return (
    <Page
      title="Store"
      says="What lies below its least level or was promised more often than it is there. What is on its way counts."
      action={<PrintButton />}
    >
      <StoreTabs at="/store/order" />
      <NotForYou asks="planner" />
      {uncounted.length > 0 && (
        <Panel title="Used, and not on the books">
          <p className="mb-1 text-soft">
            Signed jobs fitted more than lay there. Count these, then the books are right.
          </p>
          <ul className="dashed">
            {uncounted.map(({ id, store, item, name, short = 0, place }) => (
              <li key={id} className="flex flex-wrap items-center justify-between gap-3 py-1.5">
                <Link href={itemHref(store, item)} className="underline underline-offset-4">
                  {name}
                </Link>
                <span className="text-wait">
                  {pcs(short)} too few on the books at{" "}
                  {stores.find((each) => each.store.id === store)?.store.places.find(({ id }) => id === place)
                    ?.name ?? place}
                </span>
              </li>
            ))}
          </ul>
        </Panel>
      )}
      {nothing && uncounted.length === 0 && (
        <Empty>
          {stores.length === 0
            ? "No store yet. Set it up first."
            : "Nothing is to be ordered. Give items a least level, then what falls below it stands here."}
        </Empty>
      )}
      {stores.map(({ store, list, orders }) => {
        const placed = (id: string) => store.places.find((place) => place.id === id)?.name ?? id;
        const over = orders.filter(({ open }) => !open).slice(0, MOST_OVER);
        return (
          <div key={store.id} className="flex flex-col gap-4">
            {list.shift.length > 0 && (
              <ShiftList
                store={store.id}
                shifts={list.shift.map(({ item, name, from, to, pieces, least, free }) => ({
                  item,
                  name,
                  from: { id: from.id, name: from.name },
                  to: { id: to.id, name: to.name },
                  pieces,
                  says: `${free} free there, ${least} shall be`,
                }))}
              />
            )}
            {list.order.map(({ supplier, lines }) => (
              <SupplierOrder
                // What was ordered is no line of it any more: the card begins anew.
                key={`${supplier?.id} ${lines.map(({ name, to, pieces }) => `${name}${to.id}${pieces}`).join()}`}
                store={store.id}
                currency={store.currency}
                {...(supplier !== undefined && {
                  supplier: {
                    id: supplier.id,
                    name: supplier.name,
                    days: supplier.days,
                    contact: supplier.contact,
                  },
                })}
                due={day(now + (supplier?.days ?? 0) * DAY_MS)}
                lines={lines.map(
                  ({ buy, buyName, name, to, pieces, price, order, pack, least, free, coming }) => ({
                    item: buy,
                    name: buyName,
                    ...(buyName !== name && { insteadOf: name }),
                    href: itemHref(store.id, buy),
                    to: { id: to.id, name: to.name },
                    pieces,
                    price,
                    pack,
                    ...(order !== undefined && { order }),
                    says: [
                      free < 0 ? `${-free} promised and not there` : `${free} free`,
                      ...(least > 0 ? [`${least} shall be`] : []),
                      ...(coming > 0 ? [`${coming} coming`] : []),
                    ].join(", "),
                  }),
                )}
              />
            ))}
            {orders
              .filter(({ open }) => open)
              .map(({ order, lines }) => (
                <ComingOrder
                  key={`${order.id} ${lines.map(({ came }) => came).join()}`}
                  id={order.id}
                  supplier={order.supplier === undefined ? "no supplier named" : placed(order.supplier)}
                  at={Date.parse(order.at)}
                  by={order.by}
                  due={Date.parse(order.due)}
                  late={Date.parse(order.due) + DAY_MS < now}
                  currency={store.currency}
                  lines={lines.map(({ line, came }) => ({
                    item: line.item,
                    name: line.name,
                    to: line.to,
                    place: placed(line.to),
                    ordered: line.quantity,
                    came,
                    price: line.price,
                  }))}
                />
              ))}
            {over.length > 0 && (
              <Panel title="Came already">
                <ul className="dashed">
                  {over.map(({ order, lines }) => (
                    <li key={order.id} className="flex flex-wrap justify-between gap-x-4 py-1.5">
                      <span>
                        <b className="plate text-lead">{order.id}</b>{" "}
                        {order.supplier === undefined ? "" : placed(order.supplier)}
                      </span>
                      <span className="text-soft">
                        {lines.reduce((sum, { came }) => sum + came, 0)} of{" "}
                        {pcs(lines.reduce((sum, { line }) => sum + line.quantity, 0))}
                        {order.closed === true && ", the rest is not coming"}
                      </span>
                    </li>
                  ))}
                </ul>
              </Panel>
            )}
          </div>
        );
      })}
    </Page>
  );
}
