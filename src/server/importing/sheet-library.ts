import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { readDocument, type Sheet, type Valve } from "@/core/formats";
import { err, ok, type Problem, type Result } from "@/core/result";
import { store } from "../proof/ledger";
import { keepSheet } from "../register/keep-documents";
import { keepValve } from "../register/keep-valve";
import type { Services } from "../services";

const LIBRARY = join(process.cwd(), "library");

/** The sheets that ship with Loft Bell: all demonstration data, to learn on and to adapt. */
export function sheetLibrary(): Sheet[] {
  return readdirSync(LIBRARY)
    .filter((name) => name.endsWith(".json"))
    .flatMap((name) => {
      const read = readDocument(JSON.parse(readFileSync(join(LIBRARY, name), "utf8")));
      return read.ok && read.value.format === "loftbell.sheet" ? [read.value] : [];
    });
}

/** Registers a valve under a sheet of the library, bringing the sheet in when it is not here yet. */
export function registerFromLibrary(services: Services, row: Valve): Result<Valve, Problem[]> {
  const { library, register } = services;
  const sheet = library.sheet(row.sheet) ?? sheetLibrary().find((each) => each.id === row.sheet);
  if (sheet === undefined) return err([{ path: "/sheet", message: "The library has no such sheet." }]);
  if (register.valve(row.tag) !== undefined)
    return err([{ path: "/tag", message: `"${row.tag}" is in the register already. Take another tag.` }]);
  return store(services, () => {
    if (library.sheet(sheet.id) === undefined) keepSheet(services, sheet);
    keepValve(services, row, library.sheet(sheet.id));
    return ok(row);
  });
}
