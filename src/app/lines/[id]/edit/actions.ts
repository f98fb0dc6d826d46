"use server";

import { revalidatePath } from "next/cache";
import type { Problem } from "@/core/result";
import { saveLine } from "@/server/lines/save-line";
import { services } from "@/server/services";

export type Saved =
  | { readonly kind: "saved"; readonly id: string }
  | { readonly kind: "refused"; readonly problems: readonly Problem[] };

/** Stores a line as edited: all of it or nothing. */
export async function saveLineAction(document: unknown, known: string | undefined): Promise<Saved> {
  const saved = saveLine(services(), document, known);
  if (!saved.ok) return { kind: "refused", problems: saved.error };
  revalidatePath("/", "layout");
  return { kind: "saved", id: saved.value.id };
}
