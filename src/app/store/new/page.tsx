import type { Metadata } from "next";
import { services } from "@/server/services";
import { Page } from "@/ui/page";
import { EditStore } from "../edit-store";

export const metadata: Metadata = { title: "Set up a store" };

export default function NewStorePage() {
  const [other] = services().library.stores();
  return (
    <Page
      title="Set up the store"
      says="Where kits and parts lie, and who sells them. What lies there comes next, item by item or as a file."
    >
      <EditStore store={undefined} {...(other !== undefined && { currency: other.currency })} />
    </Page>
  );
}
