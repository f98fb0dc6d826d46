"use client";

import { ArrowRight } from "lucide-react";
import { useRouter } from "next/navigation";
import { useState } from "react";
import type { Item } from "@/core/formats";
import { call } from "@/edge/client";
import { MOVE_STOCK } from "@/edge/contracts/store";
import { Notice } from "@/ui/notice";
import { Panel } from "@/ui/page";
import { useBooked } from "@/ui/store/use-booked";
import { pcs } from "../store-words";

interface Shift {
  readonly item: Item;
  readonly name: string;
  readonly from: { readonly id: string; readonly name: string };
  readonly to: { readonly id: string; readonly name: string };
  readonly pieces: number;
  readonly says: string;
}

/** What one place can spare and another lacks: carried over, nothing is bought. */
export function ShiftList({ store, shifts }: { store: string; shifts: readonly Shift[] }) {
  const router = useRouter();
  const booked = useBooked();
  const [busy, setBusy] = useState(false);
  const [refused, setRefused] = useState<string>();
  const move = async (some: readonly Shift[]) => {
    setBusy(true);
    const done = await call(MOVE_STOCK, {
      params: { id: store },
      body: {
        movements: some.map(({ item, from, to, pieces }) => ({
          kind: "moved" as const,
          item,
          place: from.id,
          to: to.id,
          quantity: pieces,
        })),
      },
    });
    setBusy(false);
    setRefused(done.ok ? undefined : done.error.problems.map(({ message }) => message).join(" "));
    if (!done.ok) return;
    booked(
      some.length === 1 ? "It is moved." : `${some.length} items are moved.`,
      done.value.entries.map(({ id }) => id),
    );
    router.refresh();
  };
  return (
    <Panel title="To carry over" note="nothing is bought">
      {refused !== undefined && (
        <Notice tone="stop" live>
          <b>Nothing was moved.</b> {refused}
        </Notice>
      )}
      <ul className="dashed">
        {shifts.map((each) => (
          <li
            key={`${each.name} ${each.from.id} ${each.to.id}`}
            className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 py-2"
          >
            <span className="min-w-0">
              <b className="break-words">{each.name}</b>
              <span className="flex flex-wrap items-center gap-1.5">
                {each.from.name} <ArrowRight size={16} aria-label="to" /> {each.to.name}
                <small className="text-note text-soft">{each.says}</small>
              </span>
            </span>
            <span className="flex items-center gap-3">
              <span className="plate text-head">{pcs(each.pieces)}</span>
              <button
                type="button"
                className="btn btn-quiet no-print"
                disabled={busy}
                onClick={() => void move([each])}
              >
                Carried
              </button>
            </span>
          </li>
        ))}
      </ul>
      {shifts.length > 1 && (
        <button
          type="button"
          className="btn btn-go no-print mt-2"
          disabled={busy}
          onClick={() => void move(shifts)}
        >
          {busy ? "Booking …" : "All of it is carried over"}
        </button>
      )}
    </Panel>
  );
}
