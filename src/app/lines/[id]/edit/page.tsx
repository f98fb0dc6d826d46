import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { pathId } from "@/app/path-id";
import { services } from "@/server/services";
import { NotForYou } from "@/ui/people/not-for-you";
import { knownTags } from "../../known-tags";
import { LineEditor } from "./editor";

export const metadata: Metadata = { title: "Change a line" };

export default async function EditLinePage({ params }: { params: Promise<{ id: string }> }) {
  const all = services();
  const line = all.library.line(pathId((await params).id));
  if (line === undefined) notFound();
  return (
    <>
      <NotForYou asks="planner" />
      <LineEditor first={line} known={line.id} tags={knownTags(all)} />
    </>
  );
}
