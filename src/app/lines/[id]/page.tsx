import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { lineAsItStands } from "@/core/job";
import { heldShut } from "@/server/jobs/open-job";
import { services } from "@/server/services";
import { LineScreen } from "./line-screen";

export const metadata: Metadata = { title: "Line" };

export default async function LinePage({
  params,
  searchParams,
}: {
  params: Promise<{ id: string }>;
  searchParams: Promise<{ open?: string }>;
}) {
  const all = services();
  const line = all.library.line((await params).id);
  if (line === undefined) notFound();
  const held = heldShut(all);
  const { open } = await searchParams;
  const targets = all.library.valves().filter((valve) => valve.line === line.id);
  const wanted = targets.find((valve) => (valve.node ?? valve.tag) === open) ?? targets[0];
  return (
    <LineScreen
      line={lineAsItStands(line, held)}
      held={[...held.keys()].filter((link) => line.links.some((each) => each.id === link))}
      targets={targets.map((valve) => ({ tag: valve.tag, node: valve.node ?? valve.tag, name: valve.name }))}
      first={wanted?.node ?? wanted?.tag ?? ""}
    />
  );
}
