import type { Metadata } from "next";
import Link from "next/link";
import { services } from "@/server/services";
import { Empty } from "@/ui/notice";
import { Page } from "@/ui/page";
import { LineList } from "./line-list";

export const metadata: Metadata = { title: "Lines" };

export default function LinesPage() {
  const { library } = services();
  const lines = library.lineSummaries();
  return (
    <Page
      title="Lines"
      says="What feeds what. Choose one to see what has to be shut."
      action={
        <>
          <Link href="/loft/import" className="btn btn-quiet">
            Bring one in
          </Link>
          <Link href="/lines/new" className="btn btn-go">
            Draw a new line
          </Link>
        </>
      }
    >
      {lines.length === 0 && (
        <Empty>No line is drawn. Draw one here, or bring one in as a loftbell.line file in the Loft.</Empty>
      )}
      {lines.length > 0 && <LineList lines={lines} />}
    </Page>
  );
}
