"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { toast } from "sonner";
import type { Problem } from "@/core/result";
import { call } from "@/edge/client";
import { UNDO_EDIT } from "@/edge/contracts/own";

/** Takes a change, or a whole import, back as one; a large one takes a while. */
export function useUndoEdit(): {
  /** The one that is being taken back. */
  readonly undoing: string | undefined;
  /** @returns why it was not taken back; nothing when it was */
  readonly undo: (id: string) => Promise<readonly Problem[]>;
} {
  const router = useRouter();
  const [undoing, setUndoing] = useState<string>();
  const undo = async (id: string) => {
    setUndoing(id);
    const undone = await call(UNDO_EDIT, { params: { id } });
    setUndoing(undefined);
    if (undone.ok) toast("Everything is again as it was before.");
    router.refresh();
    return undone.ok ? [] : undone.error.problems;
  };
  return { undoing, undo };
}
