import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { asked, type SearchParams } from "@/app/list-query";
import { services } from "@/server/services";
import { Page } from "@/ui/page";
import { itemChoices, sheetItems } from "../item-choices";
import { NewItem } from "../new-item";

export const metadata: Metadata = { title: "Add an item" };

export default async function NewItemPage({ searchParams }: { searchParams: SearchParams }) {
  const all = services();
  const { store: id } = asked(await searchParams);
  const stores = all.library.stores();
  const store = stores.find((each) => each.id === id) ?? stores[0];
  if (store === undefined) notFound();
  return (
    <Page
      title="Add an item"
      says={`To ${store.name}. How many lie there is counted or booked in afterwards.`}
    >
      <NewItem choices={itemChoices(store, undefined)} sheets={sheetItems(all)} />
    </Page>
  );
}
