import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { pathId } from "@/app/path-id";
import { keptShut, lineAsItStands } from "@/core/job";
import { pointNames } from "@/core/line";
import { heldShut } from "@/server/jobs/open-job";
import { services } from "@/server/services";
import { heldWhere, speaker } from "@/words";
import { LargeLine } from "./large-line";
import { LineScreen } from "./line-screen";

export const metadata: Metadata = { title: "Line" };

/** A line with more links than this is fetched by the browser itself: megabytes do not belong into a page. */
const MOST_SENT = 600;

export default async function LinePage({
  params,
  searchParams,
}: {
  params: Promise<{ id: string }>;
  searchParams: Promise<{ open?: string }>;
}) {
  const all = services();
  const id = pathId((await params).id);
  const { open } = await searchParams;
  const summary = all.library.lineSummaries().find((each) => each.id === id);
  if (summary === undefined) notFound();
  const targets = all.register.onLine(id);
  const registered = targets.map((valve) => ({ id: valve.node ?? valve.tag, name: valve.name }));
  const held = heldShut(all, id);
  if (summary.links > MOST_SENT)
    return (
      <LargeLine
        id={id}
        held={[...keptShut(held).keys()]}
        name={summary.name}
        registered={registered}
        open={open ?? registered[0]?.id}
      />
    );
  const line = all.library.line(id)!;
  const first =
    open !== undefined && pointNames(line).has(open)
      ? open
      : (registered[0]?.id ?? line.nodes.find((node) => node.asset !== undefined)?.id ?? "");
  return (
    <LineScreen
      line={lineAsItStands(line, held, heldWhere(speaker()))}
      held={[...keptShut(held).keys()].filter((link) => line.links.some((each) => each.id === link))}
      registered={registered}
      first={first}
    />
  );
}
