import clsx from "clsx";
import type { Metadata } from "next";
import { services } from "@/server/services";
import { Empty } from "@/ui/notice";
import { Page, Panel } from "@/ui/page";

export const metadata: Metadata = { title: "Store" };

export default function StorePage() {
  const stores = services().library.stores();
  return (
    <Page title="Store" says="Kits, parts and supplies, and where they lie.">
      {stores.length === 0 && (
        <Empty>
          No stock is known. Bring in a loftbell.store file in the Loft: then jobs say which kit to take.
        </Empty>
      )}
      {stores.map((store) => (
        <div key={store.id} className="grid grid-cols-1 gap-4 lg:grid-cols-2">
          {store.places.map((place) => (
            <Panel
              key={place.id}
              title={place.name}
              note={place.days === 0 ? "in hand" : `in ${place.days} days`}
            >
              <ul className="dashed">
                {store.stock
                  .filter((item) => item.place === place.id)
                  .map((item) => (
                    <li
                      key={item.item.id + item.name}
                      className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-3 py-2 sm:grid-cols-[1fr_auto_5.625rem]"
                    >
                      <span>
                        {item.name}
                        <small className="block text-fine text-soft">{item.item.kind}</small>
                      </span>
                      <span className={clsx("plate text-head", item.quantity === 0 && "text-stop")}>
                        {item.quantity === 0 ? "none" : `${item.quantity} pcs`}
                      </span>
                      <span className="col-span-2 text-right text-soft sm:col-span-1">
                        {item.price} {store.currency}
                      </span>
                    </li>
                  ))}
              </ul>
            </Panel>
          ))}
        </div>
      ))}
    </Page>
  );
}
