import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { pathId } from "@/app/path-id";
import type { Line } from "@/core/formats";
import { keptShut, lineAsItStands } from "@/core/job";
import { pointNames } from "@/core/line";
import { heldShut } from "@/server/jobs/open-job";
import { type Services, services } from "@/server/services";
import { heldWhere, speaker } from "@/words";
import type { FreePlace } from "./free-places";
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
  const others = all.library
    .lineSummaries()
    .flatMap(({ id: other, name }) => (other === id ? [] : [{ id: other, name }]));
  if (summary.links > MOST_SENT)
    return (
      <LargeLine
        others={others}
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
      others={others}
      free={freePlaces(line, new Set(targets.map((valve) => valve.node ?? valve.tag)), all.register)}
    />
  );
}

/** Places where a valve most likely stands: a tag is written there, a hydrant is drawn, or a joint has a name. */
function freePlaces(line: Line, taken: ReadonlySet<string>, register: Services["register"]): FreePlace[] {
  return line.nodes.flatMap(({ id, name, asset, kind, hydrant, medium }) => {
    const likely = asset !== undefined || hydrant === true || (kind === "junction" && name !== undefined);
    if (
      !likely ||
      taken.has(id) ||
      (asset !== undefined && (taken.has(asset) || register.anyValve(asset) !== undefined))
    )
      return [];
    return medium === "electricity" ? [] : [{ node: id, name: name ?? "", tag: asset }];
  });
}
