import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { pathId } from "@/app/path-id";
import { services } from "@/server/services";
import { Page } from "@/ui/page";
import { valveChoices } from "../../choices";
import { valveSections } from "../../valve-sections";
import { EditValve } from "./edit-valve";

export const metadata: Metadata = { title: "Change a valve" };

export default async function EditValvePage({ params }: { params: Promise<{ tag: string }> }) {
  const tag = pathId((await params).tag);
  const all = services();
  const valve = all.register.anyValve(tag);
  if (valve === undefined) notFound();
  const sections = valveSections({
    ...valveChoices(all),
    sheet: all.library.sheet(valve.sheet),
    line: valve.line === undefined ? undefined : all.library.line(valve.line),
    registered: valve,
  });
  return (
    <Page title={`Change ${tag}`} says={`${valve.name}, ${valve.place}`}>
      <EditValve key={JSON.stringify(valve)} valve={valve} sections={sections} />
    </Page>
  );
}
