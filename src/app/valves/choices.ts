import { sheetLibrary } from "@/server/register/library";
import type { Services } from "@/server/services";

/** What a valve can name: sheets that are here or in the library, lines, places. */
export function valveChoices({ library, things, register, now }: Services) {
  const own = library.sheets();
  const shipped = sheetLibrary().filter(({ id }) => own.every((sheet) => sheet.id !== id));
  const described = things.all("place").map(({ name }) => name);
  const used = register.facet("place", now()).map(({ value }) => value);
  return {
    sheets: [...own, ...shipped]
      .map(({ id, title }) => ({ id, title }))
      .sort((a, b) => a.title.localeCompare(b.title)),
    lines: library.lineSummaries().map(({ id, name }) => ({ id, name })),
    places: [...new Set([...described, ...used])].sort((a, b) => a.localeCompare(b)),
  };
}
