import { checkSheet } from "@/core/build";
import { readDocument } from "@/core/formats";
import { checkLine } from "@/core/line";
import type { Problem } from "@/core/result";
import { checkStore } from "@/core/store";
import { checkTrouble } from "@/core/trouble";

/** What is wrong with a document as it stands, by the rules of the import. */
export function checkDocument(document: unknown): readonly Problem[] {
  const read = readDocument(document);
  if (!read.ok) return read.error;
  switch (read.value.format) {
    case "loftbell.sheet":
      return checkSheet(read.value);
    case "loftbell.line":
      return checkLine(read.value);
    case "loftbell.store":
      return checkStore(read.value);
    case "loftbell.trouble":
      return checkTrouble(read.value);
    case "loftbell.job":
    case "loftbell.house":
      return [];
  }
}
