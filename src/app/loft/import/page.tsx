import type { Metadata } from "next";
import { valveChoices } from "@/app/valves/choices";
import { MAPPED_FILES } from "@/core/formats";
import { services } from "@/server/services";
import { Page, Panel } from "@/ui/page";
import { NotForYou } from "@/ui/people/not-for-you";
import { ImportFiles } from "./import-files";
import { RecentImports } from "./recent-imports";

export const metadata: Metadata = { title: "Bring in" };

const MOST_SHOWN = 12;

export default function ImportPage() {
  const all = services();
  const sheets = valveChoices(all).sheets.map(({ id, title }) => ({ id, name: title }));
  const recent = all.edits
    .imports(MOST_SHOWN)
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
      <NotForYou asks="planner" />
      <ImportFiles remembered={all.things.all("mapping")} sheets={sheets} />
      <Panel title="Templates">
        <p className="mb-2 text-soft">Our columns, with one row as an example.</p>
        <div className="flex flex-wrap gap-2">
          {MAPPED_FILES.map((file) => (
            <a key={file} href={`/api/v1/templates/${file}`} download className="btn btn-quiet">
              {file}.csv
            </a>
          ))}
        </div>
      </Panel>
      <RecentImports entries={recent} />
    </Page>
  );
}
