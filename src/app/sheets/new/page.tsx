import type { Metadata } from "next";
import type { SearchParams } from "@/app/list-query";
import type { Part } from "@/core/formats";
import { sheetLibrary } from "@/server/register/library";
import { familyName } from "@/ui/family-name";
import { NotForYou } from "@/ui/people/not-for-you";
import { FamilyPicker } from "./family-picker";
import { OwnSheetForm } from "./own-sheet-form";

export const metadata: Metadata = { title: "A sheet of your own" };

const ICONS = 6;
/** As much of a part as its picture shows. */
const drawn = ({ id, name, quantity, material, shape }: Part): Part => ({
  id,
  name,
  quantity,
  material,
  shape,
  ways: [],
});

/** A sheet for a model that no sheet is of: from the build of its family, in words of the trade. */
export default async function NewSheetPage({ searchParams }: { searchParams: SearchParams }) {
  const { family } = await searchParams;
  const template = sheetLibrary().find((each) => each.family === family);
  return (
    <>
      <NotForYou asks="planner" />
      {template === undefined ? (
        <FamilyPicker
          families={sheetLibrary()
            .map((sheet) => ({
              id: sheet.family,
              name: familyName(sheet.family),
              says: sheet.summary,
              parts: sheet.parts.length,
              drawn: sheet.parts.slice(0, ICONS).map(drawn),
            }))
            .sort((a, b) => a.name.localeCompare(b.name))}
        />
      ) : (
        <OwnSheetForm key={template.id} template={template} family={familyName(template.family)} />
      )}
    </>
  );
}
