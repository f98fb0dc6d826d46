import type { Metadata } from "next";
import { services } from "@/server/services";
import { Page } from "@/ui/page";
import { ImportFiles } from "./import-files";
import { RecentImports } from "./recent-imports";

export const metadata: Metadata = { title: "Bring in" };

const MOST_SHOWN = 12;

export default function ImportPage() {
  const recent = services()
    .edits.imports(MOST_SHOWN)
    .flatMap(({ id, at, by, what, undoneAt }) =>
      what.kind === "import" ? [{ id, at, by, files: what.files, undone: undoneAt !== null }] : [],
    );
  return (
    <Page
      title="Bring in"
      says="Files lean on each other: choose a register together with the sheets and lines it names."
    >
      <p className="max-w-[72ch] text-soft">
        A register changes only the columns it has: an empty cell leaves the field as it is, a single hyphen
        empties it. Dates are written year-month-day. You see every field before and after.
      </p>
      <ImportFiles />
      <RecentImports entries={recent} />
    </Page>
  );
}
