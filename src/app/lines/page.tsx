import type { Metadata } from "next";
import Link from "next/link";
import { services } from "@/server/services";
import { Empty } from "@/ui/notice";
import { Page } from "@/ui/page";
import { LineInList } from "./line-in-list";

export const metadata: Metadata = { title: "Lines" };

/** A larger line is not drawn in a list. */
const MOST_DRAWN = 200;

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
          <Link href="/lines/new" className="btn btn-quiet">
            Draw a new line
          </Link>
        </>
      }
    >
      {lines.length === 0 && (
        <Empty>No line is drawn. Draw one here, or bring one in as a loftbell.line file in the Loft.</Empty>
      )}
      <ul className="grid gap-4 md:grid-cols-2">
        {lines.map((line) => (
          <li key={line.id} className="card p-3">
            <Link href={`/lines/${encodeURIComponent(line.id)}`} className="block">
              <b className="text-lead">{line.name}</b>
              <span className="block text-soft">
                {line.medium}; {line.nodes} places, {line.valves} valves
              </span>
            </Link>
            {line.nodes <= MOST_DRAWN ? (
              <LineInList id={line.id} />
            ) : (
              <p className="px-1 py-3 text-soft">Too large to show small: open it to move about in it.</p>
            )}
          </li>
        ))}
      </ul>
    </Page>
  );
}
