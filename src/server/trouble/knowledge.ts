import { existsSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { readDocument, type Trouble } from "@/core/formats";
import type { Services } from "../services";

const LIBRARY = join(process.cwd(), "library", "trouble");
const FAMILY = /^[a-z0-9-]+$/;

const read = new Map<string, Trouble | undefined>();

/** What ships for a family; nothing where nothing does. */
export function shippedTrouble(family: string): Trouble | undefined {
  if (!read.has(family)) read.set(family, fromLibrary(family));
  return read.get(family);
}

function fromLibrary(family: string): Trouble | undefined {
  const path = join(LIBRARY, `${family}.json`);
  if (!FAMILY.test(family) || !existsSync(path)) return undefined;
  const document = readDocument(JSON.parse(readFileSync(path, "utf8")));
  return document.ok && document.value.format === "loftbell.trouble" ? document.value : undefined;
}

/** What may be wrong with a family: as the house has written it, else as it ships. */
export const troubleOf = ({ things }: Pick<Services, "things">, family: string): Trouble | undefined =>
  things.one("trouble", family) ?? shippedTrouble(family);
