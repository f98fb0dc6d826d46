"use server";

import { revalidatePath } from "next/cache";
import { redirect } from "next/navigation";
import { ROW_SCHEMAS, readAs } from "@/core/formats";
import type { Problem } from "@/core/result";
import { registerFromLibrary } from "@/server/importing/sheet-library";
import { services } from "@/server/services";

export type Registered =
  | { readonly kind: "none" }
  | {
      readonly kind: "refused";
      readonly problems: readonly Problem[];
      readonly typed: Readonly<Record<string, string>>;
    };

/** Registers the first valve of a sheet; empty fields are left out, not stored as nothing. */
export async function registerAction(_shown: Registered, form: FormData): Promise<Registered> {
  const typed = Object.fromEntries(
    [...form].flatMap(([key, value]) =>
      typeof value === "string" && !key.startsWith("$") ? [[key, value.trim()] as const] : [],
    ),
  );
  const row = readAs(
    ROW_SCHEMAS.register,
    Object.fromEntries(Object.entries(typed).filter(([, value]) => value !== "")),
  );
  if (!row.ok) return { kind: "refused", problems: row.error, typed };
  const done = registerFromLibrary(services(), row.value);
  if (!done.ok) return { kind: "refused", problems: done.error, typed };
  revalidatePath("/", "layout");
  redirect(`/valves/${done.value.tag}`);
}
