"use client";

import { useRouter } from "next/navigation";
import { toast } from "sonner";
import { call } from "@/edge/client";
import { UNDO_EDIT } from "@/edge/contracts/own";

/** Says that something was changed, and offers to take it back. */
export function useChanged(): (says: string, edit: string | undefined) => void {
  const router = useRouter();
  return (says, edit) => {
    if (edit === undefined) return;
    toast(says, {
      duration: 12_000,
      action: {
        label: "Undo",
        onClick: async () => {
          const undone = await call(UNDO_EDIT, { params: { id: edit } });
          if (undone.ok) toast("It is again as it was before.");
          else toast.error(undone.error.problems.map(({ message }) => message).join(" "));
          router.refresh();
        },
      },
    });
  };
}
