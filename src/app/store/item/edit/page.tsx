import type { Metadata } from "next";
import { notFound } from "next/navigation";
import type { SearchParams } from "@/app/list-query";
import { cardOf } from "@/core/store";
import { services } from "@/server/services";
import { Page } from "@/ui/page";
import { askedItem } from "../asked-item";
import { EditItem } from "../edit-item";
import { itemChoices } from "../item-choices";

export const metadata: Metadata = { title: "Change an item" };

export default async function EditItemPage({ searchParams }: { searchParams: SearchParams }) {
  const all = services();
  const named = await askedItem(searchParams);
  const store = all.library.stores().find(({ id }) => id === named?.store);
  const card = store && named && cardOf(store, named.item);
  if (store === undefined || card === undefined) notFound();
  return (
    <Page title={`Change ${card.name}`}>
      <EditItem
        key={JSON.stringify(card)}
        item={card.item}
        card={card}
        choices={itemChoices(store, card.item)}
      />
    </Page>
  );
}
