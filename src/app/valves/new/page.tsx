import type { Metadata } from "next";
import type { SearchParams } from "@/app/list-query";
import type { Valve } from "@/core/formats";
import { librarySheet, sheetLibrary } from "@/server/register/library";
import { services } from "@/server/services";
import { Notice } from "@/ui/notice";
import { Page } from "@/ui/page";
import { valveChoices } from "../choices";
import { valveSections } from "../valve-sections";
import { NewValve } from "./new-valve";
import { SheetPicker } from "./sheet-picker";

export const metadata: Metadata = { title: "Register a valve" };

const one = (value: string | readonly string[] | undefined) =>
  typeof value === "string" ? value : undefined;

/** What of an equal valve another one has, too: all but what is its own. */
function likeThat({
  tag: _,
  serial: __,
  node: ___,
  last: _1,
  dueSince: _2,
  recheck: _3,
  served: _4,
  shorter: _5,
  symptom: _6,
  reported: _7,
  reportedBy: _8,
  serviced: _9,
  formerly: _10,
  retired: _11,
  retiredWhy: _12,
  lat: _13,
  lon: _14,
  ...like
}: Valve): Partial<Valve> {
  return like;
}

export default async function NewValvePage({ searchParams }: { searchParams: SearchParams }) {
  const asked = await searchParams;
  const all = services();
  const like = all.register.anyValve(one(asked.like) ?? "");
  const id = one(asked.sheet) ?? like?.sheet;
  const sheet = id === undefined ? undefined : (all.library.sheet(id) ?? librarySheet(id));
  const lineId = one(asked.line) ?? like?.line;
  const line = lineId === undefined ? undefined : all.library.line(lineId);
  // Where it is registered from is kept while a sheet is chosen.
  const from = { line: line?.id, node: one(asked.node), place: one(asked.place), tag: one(asked.tag) };
  if (sheet === undefined) {
    const own = all.library.sheets();
    const shipped = sheetLibrary().filter((each) => own.every((mine) => mine.id !== each.id));
    return (
      <Page title="Register a valve" says="Which one is it? Choose its sheet.">
        <SheetPicker
          own={own.map(tile)}
          shipped={shipped.map(tile)}
          from={
            Object.fromEntries(Object.entries(from).filter(([, value]) => value !== undefined)) as Record<
              string,
              string
            >
          }
        />
      </Page>
    );
  }
  const row = {
    ...(like === undefined
      ? {
          ...(sheet.builds[0] !== undefined && sheet.builds.length === 1 && { build: sheet.builds[0].id }),
          ...(sheet.generations.length === 1 && { generation: sheet.generations[0] }),
        }
      : likeThat(like)),
    sheet: sheet.id,
    ...Object.fromEntries(Object.entries(from).filter(([, value]) => value !== undefined)),
  } as Partial<Valve>;
  const sections = valveSections({ ...valveChoices(all), sheet, line, registered: undefined });
  return (
    <Page
      title={like === undefined ? "Register a valve" : `Register one like ${like.tag}`}
      says={`${sheet.title}, ${sheet.maker} ${sheet.model}`}
    >
      {sheet.demonstration === true && (
        <Notice tone="wait">
          <b>This sheet is demonstration data: not for real equipment.</b> Learn on it; for real work bring in
          or write a sheet with your maker’s figures.
        </Notice>
      )}
      <NewValve
        row={row}
        sections={sections}
        back={line === undefined ? "/valves" : `/lines/${encodeURIComponent(line.id)}`}
      />
    </Page>
  );
}

const tile = ({
  id,
  title,
  maker,
  model,
  family,
  summary,
  demonstration,
}: ReturnType<typeof sheetLibrary>[number]) => ({
  id,
  title,
  made: `${maker} ${model}`,
  family,
  summary,
  demonstration: demonstration === true,
});
