import type { Metadata } from "next";
import Link from "next/link";
import type { SearchParams } from "@/app/list-query";
import { editsBefore } from "@/server/own/edits";
import { services } from "@/server/services";
import { Empty } from "@/ui/notice";
import { Edits } from "@/ui/own/history-panel";
import { Page, Panel } from "@/ui/page";

export const metadata: Metadata = { title: "Changes" };

export default async function ChangesPage({ searchParams }: { searchParams: SearchParams }) {
  const { before } = await searchParams;
  const at = Number(before);
  const edits = editsBefore(services(), Number.isFinite(at) && at > 0 ? at : undefined);
  const oldest = edits.at(-1);
  return (
    <Page
      title="Changes"
      says="Who changed what of your own data, the newest first. What a job does stands in its record."
    >
      <Panel title="The book">
        {edits.length === 0 ? (
          <Empty>Nothing was changed {before === undefined ? "yet" : "before that"}.</Empty>
        ) : (
          <Edits edits={edits} />
        )}
      </Panel>
      {edits.length >= 60 && oldest !== undefined && (
        <Link href={`/loft/changes?before=${oldest.at}`} className="btn btn-quiet self-start">
          Further back
        </Link>
      )}
    </Page>
  );
}
