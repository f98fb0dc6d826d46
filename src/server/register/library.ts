import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { readDocument, type Sheet } from "@/core/formats";

const LIBRARY = join(process.cwd(), "library");

let read: readonly Sheet[] | undefined;

/** The sheets that ship with Loft Bell: all demonstration data, to learn on and to adapt. */
export function sheetLibrary(): readonly Sheet[] {
  read ??= readdirSync(LIBRARY)
    .filter((name) => name.endsWith(".json"))
    .flatMap((name) => {
      const document = readDocument(JSON.parse(readFileSync(join(LIBRARY, name), "utf8")));
      return document.ok && document.value.format === "loftbell.sheet" ? [document.value] : [];
    });
  return read;
}

export const librarySheet = (id: string): Sheet | undefined => sheetLibrary().find((each) => each.id === id);
