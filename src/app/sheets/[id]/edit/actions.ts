"use server";

import { revalidatePath } from "next/cache";
import type { Problem } from "@/core/result";
import { services } from "@/server/services";
import { saveSheet } from "@/server/sheets/save-sheet";

export type Saved =
  | { readonly kind: "saved"; readonly id: string; readonly revision: number }
  | { readonly kind: "refused"; readonly problems: readonly Problem[] };

/** Stores a sheet as edited: all of it or nothing. */
export async function saveSheetAction(
  document: unknown,
  known: { readonly id: string; readonly revision: number } | undefined,
): Promise<Saved> {
  const saved = saveSheet(services(), document, known);
  if (!saved.ok) return { kind: "refused", problems: saved.error };
  revalidatePath("/", "layout");
  return { kind: "saved", id: saved.value.id, revision: saved.value.revision };
}
