import type { Metadata } from "next";
import { Page } from "@/ui/page";
import { ImportFiles } from "./import-files";

export const metadata: Metadata = { title: "Bring in" };

export default function ImportPage() {
  return (
    <Page
      title="Bring in"
      says="Files lean on each other: choose a register together with the sheets and lines it names."
    >
      <ImportFiles />
    </Page>
  );
}
