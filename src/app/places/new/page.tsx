import type { Metadata } from "next";
import type { SearchParams } from "@/app/list-query";
import { services } from "@/server/services";
import { Page } from "@/ui/page";
import { EditPlace } from "../edit-place";
import { placeSections } from "../place-sections";

export const metadata: Metadata = { title: "Add a place" };

export default async function NewPlacePage({ searchParams }: { searchParams: SearchParams }) {
  const { name } = await searchParams;
  const others = services()
    .things.all("place")
    .map((each) => each.name);
  return (
    <Page title="Add a place">
      <EditPlace
        place={typeof name === "string" ? { name } : {}}
        known={undefined}
        sections={placeSections(others)}
      />
    </Page>
  );
}
