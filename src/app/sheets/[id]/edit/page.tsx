import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { pathId } from "@/app/path-id";
import { services } from "@/server/services";
import { NotForYou } from "@/ui/people/not-for-you";
import { SheetEditor } from "./editor";

type Props = { params: Promise<{ id: string }>; searchParams: Promise<{ copy?: string }> };

export const metadata: Metadata = { title: "Edit a sheet" };

/** Edits the newest revision, or, with `copy`, adapts a copy under a new id. */
export default async function EditSheetPage({ params, searchParams }: Props) {
  const { library } = services();
  const sheet = library.sheet(pathId((await params).id));
  if (sheet === undefined) notFound();
  const copy = (await searchParams).copy !== undefined;
  const first = copy
    ? { ...sheet, id: freeId(sheet.id, (id) => library.sheet(id) !== undefined), revision: 1 }
    : sheet;
  return (
    <>
      <NotForYou asks="planner" />
      <SheetEditor
        key={first.id}
        first={first}
        known={copy ? undefined : { id: sheet.id, revision: sheet.revision }}
        {...(copy && { copied: sheet.title })}
      />
    </>
  );
}

function freeId(of: string, taken: (id: string) => boolean): string {
  for (let count = 2; ; count++) if (!taken(`${of}-${count}`)) return `${of}-${count}`;
}
