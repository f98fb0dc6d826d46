import type { Metadata } from "next";
import Link from "next/link";
import { services } from "@/server/services";
import { Empty } from "@/ui/notice";
import { Page } from "@/ui/page";
import { SheetIcons } from "./sheet-in-list";

export const metadata: Metadata = { title: "Sheets" };

export default function SheetsPage() {
  const sheets = services()
    .library.sheets()
    .toSorted((a, b) => a.title.localeCompare(b.title));
  return (
    <Page
      title="Service sheets"
      says="How each model is built, what holds what, and how it goes back."
      action={
        <>
          <Link href="/sheets/axes" className="btn btn-quiet">
            All axes
          </Link>
          <Link href="/valves/new" className="btn btn-quiet">
            Register a valve
          </Link>
          <Link href="/sheets/new" className="btn btn-go">
            A sheet of your own
          </Link>
        </>
      }
    >
      {sheets.length === 0 && (
        <Empty>
          No sheet yet. Make one of your own, pick one from the library where a valve is registered, or bring
          one in.
        </Empty>
      )}
      <ul className="grid gap-4 md:grid-cols-2 xl:grid-cols-3">
        {sheets.map((sheet) => (
          <li key={sheet.id}>
            <Link
              href={`/sheets/${sheet.id}`}
              className="card block h-full border-t-[7px] border-t-brass-line p-4"
            >
              <b className="text-lead leading-tight">{sheet.title}</b>
              <span className="plate block text-body">
                {sheet.maker} {sheet.model}, revision {sheet.revision}
              </span>
              <span className="mt-1 block text-soft">{sheet.summary}</span>
              <SheetIcons id={sheet.id} />
              <span className="mt-2 block">
                {sheet.parts.length} parts, {sheet.checks.length} checks, {sheet.kits.length} kits
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </Page>
  );
}
