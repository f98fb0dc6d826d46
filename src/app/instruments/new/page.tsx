import type { Metadata } from "next";
import { services } from "@/server/services";
import { Page } from "@/ui/page";
import { EditInstrument } from "../edit-instrument";

export const metadata: Metadata = { title: "Add an instrument" };

export default function NewInstrumentPage() {
  const keepers = services()
    .library.crew()
    .map(({ name }) => name);
  return (
    <Page title="Add an instrument">
      <EditInstrument instrument={undefined} keepers={keepers} />
    </Page>
  );
}
