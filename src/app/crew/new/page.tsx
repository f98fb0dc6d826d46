import type { Metadata } from "next";
import { services } from "@/server/services";
import { Page } from "@/ui/page";
import { EditPerson } from "../edit-person";
import { personSections } from "../person-sections";

export const metadata: Metadata = { title: "Add somebody" };

export default function NewPersonPage() {
  const { things } = services();
  const places = things.all("place").map(({ name }) => name);
  return (
    <Page title="Add somebody to the crew">
      <EditPerson
        person={undefined}
        sections={personSections(things.one("house", "house")?.shifts ?? [], places, true)}
      />
    </Page>
  );
}
