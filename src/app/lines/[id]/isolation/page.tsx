import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { pathId } from "@/app/path-id";
import { readSettings } from "@/app/settings";
import { planIsolation } from "@/core/isolation";
import { lineAsItStands } from "@/core/job";
import { heldShut } from "@/server/jobs/open-job";
import { services } from "@/server/services";
import { Notice } from "@/ui/notice";
import { Page } from "@/ui/page";
import { PrintButton } from "@/ui/print-button";
import { heldWhere, isolationMessage, speaker } from "@/words";
import { IsolationSheet } from "./isolation-sheet";

export const metadata: Metadata = { title: "Isolation sheet" };

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
  const demand = {
    open: all(query, "open"),
    avoid: all(query, "avoid"),
    passing: all(query, "passing"),
    keep: all(query, "keep"),
    pumpedOut: all(query, "pumpedOut"),
  };
  const words = speaker((await readSettings()).system);
  const plan = planIsolation(lineAsItStands(line, heldShut(services(), line.id), heldWhere(words)), demand);
  return (
    <Page
      title="Isolation sheet"
      says={[house, `${line.name}. To open ${demand.open.join(", ") || "nothing yet"}.`]
        .filter(Boolean)
        .join(". ")}
      {...(plan.ok && { action: <PrintButton /> })}
    >
      {plan.ok ? (
        <IsolationSheet line={line} plan={plan.value} words={words} />
      ) : (
        <Notice tone="stop">{isolationMessage(words, plan.error)}</Notice>
      )}
    </Page>
  );
}
