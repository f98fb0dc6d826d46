"use server";

import { revalidatePath } from "next/cache";
import { resetDemo } from "@/server/reset-demo";
import { isDemo } from "@/server/services";

/** Puts the demo back to its beginning; real work is never touched. */
export async function resetDemoAction(): Promise<{ readonly message: string }> {
  if (!isDemo()) return { message: "This is not the demo: nothing was changed." };
  resetDemo();
  revalidatePath("/", "layout");
  return { message: "The demo begins anew." };
}
