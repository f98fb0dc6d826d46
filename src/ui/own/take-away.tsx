"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { call } from "@/edge/client";
import { REMOVE_LINE, REMOVE_SHEET } from "@/edge/contracts/documents";
import { INSTRUMENTS, PEOPLE, PLACES } from "@/edge/contracts/own";
import { REMOVE_STORE } from "@/edge/contracts/store";
import { Modal } from "../modal";
import { Notice } from "../notice";
import { useChanged } from "./use-changed";

const REMOVES = {
  place: PLACES.remove,
  person: PEOPLE.remove,
  instrument: INSTRUMENTS.remove,
  line: REMOVE_LINE,
  sheet: REMOVE_SHEET,
  store: REMOVE_STORE,
} as const;

/** Takes a thing away where nothing hangs on it, and says what hangs on it where something does. */
export function TakeAway({
  kind,
  id,
  name = id,
  to,
}: {
  kind: keyof typeof REMOVES;
  id: string;
  /** What it is called. */
  name?: string;
  /** Where one is afterwards. */
  to: string;
}) {
  const router = useRouter();
  const changed = useChanged();
  const [open, setOpen] = useState(false);
  const [busy, setBusy] = useState(false);
  const [refused, setRefused] = useState<readonly string[]>([]);
  const take = async () => {
    setBusy(true);
    const gone = await call(REMOVES[kind], { params: { id } });
    setBusy(false);
    if (!gone.ok) return setRefused(gone.error.problems.map(({ message }) => message));
    setOpen(false);
    changed(`${name} is taken away.`, gone.value.edit);
    router.push(to);
    router.refresh();
  };
  return (
    <>
      <button
        type="button"
        className="btn btn-quiet"
        onClick={() => {
          setRefused([]);
          setOpen(true);
        }}
      >
        Take it away
      </button>
      <Modal
        open={open}
        onOpenChange={setOpen}
        title={`Take ${name} away?`}
        says="Where something hangs on it, it stays. It can be brought back from the book of changes."
      >
        {refused.map((message) => (
          <Notice key={message} tone="stop" live>
            {message}
          </Notice>
        ))}
        <div className="flex justify-end gap-3">
          <button type="button" className="btn btn-quiet" onClick={() => setOpen(false)}>
            Leave it
          </button>
          <button type="button" className="btn btn-stop" disabled={busy} onClick={() => void take()}>
            {busy ? "Taking it away …" : "Take it away"}
          </button>
        </div>
      </Modal>
    </>
  );
}
