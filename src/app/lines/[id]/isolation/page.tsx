import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { pathId } from "@/app/path-id";
import { readSettings } from "@/app/settings";
import { planIsolation, shutForWork } from "@/core/isolation";
import { lineAsItStands } from "@/core/job";
import { heldShut } from "@/server/jobs/open-job";
import { services } from "@/server/services";
import { Notice } from "@/ui/notice";
import { Page } from "@/ui/page";
import { PaperBlocks } from "@/ui/paper/blocks";
import { PdfLink } from "@/ui/paper/pdf-link";
import { PrintButton } from "@/ui/print-button";
import { heldWhere, isolationBlocks, isolationMessage, type PaperBlock, speaker } from "@/words";

export const metadata: Metadata = { title: "Isolation sheet" };

/** Rows that an A4 page holds at full size. */
const ROWS_ON_A_PAGE = 17;

/** A sentence of what to take care of is as long as two rows. */
const rowsOf = (blocks: readonly PaperBlock[]): number =>
  blocks.reduce(
    (sum, block) =>
      sum + (block.kind === "table" ? block.rows.length : block.kind === "rows" ? 2 * block.rows.length : 0),
    0,
  );

type Query = Readonly<Record<string, string | string[] | undefined>>;
const all = (query: Query, key: string): string[] => [query[key] ?? []].flat();

/** One page to take along: what to shut with which lock, how it is proven, how it comes back. */
export default async function IsolationSheetPage({
  params,
  searchParams,
}: {
  params: Promise<{ id: string }>;
  searchParams: Promise<Query>;
}) {
  const line = services().library.line(pathId((await params).id));
  if (line === undefined) notFound();
  const house = services().things.one("house", "house")?.name;
  const query = await searchParams;
  const asked = {
    open: all(query, "open"),
    avoid: all(query, "avoid"),
    passing: all(query, "passing"),
    keep: all(query, "keep"),
    pumpedOut: all(query, "pumpedOut"),
  };
  const words = speaker(await readSettings());
  const stands = lineAsItStands(line, heldShut(services(), line.id), heldWhere(words));
  // As a job shuts it, or with just what was chosen on the line.
  const { demand, plan } =
    query.work === undefined
      ? { demand: asked, plan: planIsolation(stands, asked) }
      : shutForWork(stands, asked);
  const blocks = plan.ok ? isolationBlocks(words, line, plan.value) : [];
  const said = words.say.papers.isolation;
  return (
    <Page
      title={said.title}
      says={[house, said.toOpen(line.name, demand.open.join(", "))].filter(Boolean).join(". ")}
      {...(plan.ok && {
        action: (
          <>
            <PdfLink line={line.id} demand={demand} />
            <PrintButton />
          </>
        ),
      })}
    >
      {plan.ok ? (
        <article
          className="fits-a-page flex flex-col gap-4 text-note leading-snug"
          style={{ "--fit": Math.min(1, ROWS_ON_A_PAGE / rowsOf(blocks)) } as React.CSSProperties}
        >
          <PaperBlocks blocks={blocks} photoAt={() => ""} />
          {line.demonstration === true && <p className="text-soft">{words.say.papers.demonstration}</p>}
        </article>
      ) : (
        <Notice tone="stop">{isolationMessage(words, plan.error)}</Notice>
      )}
    </Page>
  );
}
