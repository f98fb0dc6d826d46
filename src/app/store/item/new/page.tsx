import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { asked, type SearchParams } from "@/app/list-query";
import { services } from "@/server/services";
import { Page } from "@/ui/page";
import { EditItem } from "../edit-item";
import { itemChoices } from "../item-choices";

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
      <EditItem card={undefined} {...itemChoices(all, store, undefined)} itemPage="/store" />
    </Page>
  );
}
