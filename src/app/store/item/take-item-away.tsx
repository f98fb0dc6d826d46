"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { toast } from "sonner";
import type { Item } from "@/core/formats";
import { call } from "@/edge/client";
import { REMOVE_ITEM } from "@/edge/contracts/store";
import { useChanged } from "@/ui/own/use-changed";

/** Takes an item out of the store where nothing of it lies; undone, it is there again. */
export function TakeItemAway({ store, item, name }: { store: string; item: Item; name: string }) {
  const router = useRouter();
  const changed = useChanged();
  const [busy, setBusy] = useState(false);
  const take = async () => {
    setBusy(true);
    const gone = await call(REMOVE_ITEM, { params: { id: store }, query: item });
    setBusy(false);
    if (!gone.ok) return toast.error(gone.error.problems.map(({ message }) => message).join(" "));
    changed(`${name} is taken away.`, gone.value.edit);
    router.push("/store");
    router.refresh();
  };
  return (
    <button type="button" className="btn btn-quiet" disabled={busy} onClick={() => void take()}>
      {busy ? "Taking it away …" : "Take it away"}
    </button>
  );
}
