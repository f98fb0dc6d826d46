import type { Metadata } from "next";
import Link from "next/link";
import { headOf } from "@/core/store";
import { historyOf } from "@/server/own/history";
import { services } from "@/server/services";
import { Empty } from "@/ui/notice";
import { HistoryPanel } from "@/ui/own/history-panel";
import { TakeAway } from "@/ui/own/take-away";
import { Page } from "@/ui/page";
import { EditStore } from "../edit-store";
import { StoreTabs } from "../store-tabs";

export const metadata: Metadata = { title: "Places and money of the store" };

export default function StorePlacesPage() {
  const all = services();
  const stores = all.library.stores();
  return (
    <Page
      title="Store"
      says="Where things lie, who sells them, in which currency prices are, and what time costs."
      action={
        <Link href="/store/new" className="btn btn-quiet">
          Add a store
        </Link>
      }
    >
      <StoreTabs at="/store/places" />
      {stores.length === 0 && <Empty>No store yet. Set one up with its van and shop.</Empty>}
      {stores.map((store) => {
        const lying = new Map<string, number>();
        for (const { place, quantity } of store.stock)
          if (quantity > 0) lying.set(place, (lying.get(place) ?? 0) + quantity);
        return (
          <section key={store.id} className="flex flex-col gap-4" aria-label={store.name}>
            <div className="flex items-center justify-between gap-3">
              <h2 className="font-bold text-head">{store.name}</h2>
              <TakeAway kind="store" id={store.id} name={store.name} to="/store" />
            </div>
            <EditStore
              key={JSON.stringify(headOf(store))}
              store={headOf(store)}
              lying={Object.fromEntries(lying)}
            />
            <HistoryPanel edits={historyOf(all, "store", store.id)} />
          </section>
        );
      })}
    </Page>
  );
}
