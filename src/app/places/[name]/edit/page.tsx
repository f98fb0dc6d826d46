import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { pathId } from "@/app/path-id";
import { services } from "@/server/services";
import { Page } from "@/ui/page";
import { EditPlace } from "../../edit-place";
import { placeSections } from "../../place-sections";

export const metadata: Metadata = { title: "Change a place" };

export default async function EditPlacePage({ params }: { params: Promise<{ name: string }> }) {
  const name = pathId((await params).name);
  const { things } = services();
  const place = things.one("place", name);
  if (place === undefined) notFound();
  const others = things.all("place").flatMap((each) => (each.name === name ? [] : [each.name]));
  return (
    <Page title={`Change ${name}`} says="Another name goes along to every valve that stands there.">
      <EditPlace place={place} known={name} sections={placeSections(others)} />
    </Page>
  );
}
