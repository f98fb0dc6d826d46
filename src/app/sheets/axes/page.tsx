import type { Metadata } from "next";
import Link from "next/link";
import { services } from "@/server/services";
import { AxisKey } from "@/ui/draw/axis-marks";
import { Empty } from "@/ui/notice";
import { Page } from "@/ui/page";
import { PrintButton } from "@/ui/print-button";
import { SheetOnWall } from "../sheet-in-list";

export const metadata: Metadata = { title: "All axes" };

/** Every sheet's axis on one wall: to find a valve by its looks, and to print for the workshop. */
export default function AxesPage() {
  const sheets = services()
    .library.sheets()
    .toSorted((a, b) => a.title.localeCompare(b.title));
  return (
    <Page
      title="All axes"
      says="Every model as an exploded stack, to its own proportions."
      action={<PrintButton />}
    >
      <AxisKey />
      {sheets.length === 0 && <Empty>No sheet yet.</Empty>}
      <ul className="columns-[290px] gap-4">
        {sheets.map((sheet) => (
          <li key={sheet.id} className="card mb-4 break-inside-avoid border-t-[7px] border-t-brass-line p-3">
            <Link
              href={`/sheets/${sheet.id}`}
              className="font-bold text-lead underline-offset-4 hover:underline"
            >
              {sheet.title}
            </Link>
            <span className="plate block text-body text-soft">
              {sheet.maker} {sheet.model}
            </span>
            <SheetOnWall id={sheet.id} />
          </li>
        ))}
      </ul>
    </Page>
  );
}
