"use client";

import { useRouter } from "next/navigation";
import { toast } from "sonner";
import { call } from "@/edge/client";
import { UNDO_MOVEMENT } from "@/edge/contracts/store";

/** Takes entries of the ledger back, the last first; says so, or why not. */
export function useUndoBooked(): (ids: readonly string[]) => Promise<void> {
  const router = useRouter();
  return async (ids) => {
    for (const id of ids.toReversed()) {
      const undone = await call(UNDO_MOVEMENT, { params: { id } });
      if (!undone.ok) {
        toast.error(undone.error.problems.map(({ message }) => message).join(" "));
        return router.refresh();
      }
    }
    toast("It is taken back. Both entries stand in the ledger.");
    router.refresh();
  };
}

/** Says that something was booked, and offers to take it back. */
export function useBooked(): (says: string, ids: readonly string[]) => void {
  const undo = useUndoBooked();
  return (says, ids) => {
    toast(says, {
      duration: 12_000,
      ...(ids.length > 0 && { action: { label: "Undo", onClick: () => void undo(ids) } }),
    });
  };
}
