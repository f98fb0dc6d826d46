"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { toast } from "sonner";
import { call } from "@/edge/client";
import { LOOK_AT_BACKUP, MAKE_BACKUP, REMOVE_BACKUP, RESTORE_BACKUP } from "@/edge/contracts/backups";
import { Modal } from "@/ui/modal";
import { Notice } from "@/ui/notice";
import { useFigures } from "@/ui/use-figures";
import { Day } from "@/ui/when";

interface ListedBackup {
  readonly id: string;
  readonly at: number;
  readonly why: string;
  readonly megabytes: number;
  readonly says: string;
}

const words = (problems: readonly { readonly message: string }[]) =>
  problems.map(({ message }) => message).join(" ");

export function MakeBackup() {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const make = async () => {
    setBusy(true);
    const made = await call(MAKE_BACKUP, { body: {} });
    setBusy(false);
    if (made.ok) toast("It is backed up, opened and found whole.");
    else toast.error(words(made.error.problems));
    router.refresh();
  };
  return (
    <button type="button" className="btn btn-go" disabled={busy} onClick={() => void make()}>
      {busy ? "Backing up …" : "Back up now"}
    </button>
  );
}

interface Looked {
  readonly backup: ListedBackup;
  readonly fault?: string | undefined;
  readonly lost?: string;
}

/** Backups, each to be looked at: whether it is whole, what putting it back would lose; and put back, or taken away. */
export function BackupList({ backups }: { backups: readonly ListedBackup[] }) {
  const { fixed } = useFigures();
  const router = useRouter();
  const [looked, setLooked] = useState<Looked>();
  const [busy, setBusy] = useState<"looking" | "putting-back" | "taking-away">();
  const [refused, setRefused] = useState<string>();
  const look = async (backup: ListedBackup) => {
    setRefused(undefined);
    setLooked({ backup });
    setBusy("looking");
    const found = await call(LOOK_AT_BACKUP, { params: { id: backup.id } });
    setBusy(undefined);
    if (found.ok) setLooked({ backup, fault: found.value.fault, lost: found.value.lost });
    else setRefused(words(found.error.problems));
  };
  const putBack = async ({ id }: ListedBackup) => {
    setBusy("putting-back");
    const done = await call(RESTORE_BACKUP, { params: { id }, body: {} });
    setBusy(undefined);
    if (!done.ok) return setRefused(words(done.error.problems));
    setLooked(undefined);
    toast(`It is as it was then. What was there before is ${done.value.before}.`);
    router.refresh();
  };
  const takeAway = async ({ id }: ListedBackup) => {
    setBusy("taking-away");
    const done = await call(REMOVE_BACKUP, { params: { id } });
    setBusy(undefined);
    if (!done.ok) return setRefused(words(done.error.problems));
    setLooked(undefined);
    router.refresh();
  };
  return (
    <>
      <ul className="dashed">
        {backups.map((backup) => (
          <li
            key={backup.id}
            className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 gap-y-1 py-2 md:grid-cols-[14rem_minmax(0,1fr)_6rem_auto]"
          >
            <span>
              <b>
                <Day at={backup.at} time />
              </b>
              <small className="block text-note text-soft">{backup.why}</small>
            </span>
            <span className="order-last col-span-2 text-soft md:order-none md:col-span-1">{backup.says}</span>
            <span className="plate hidden text-right text-lead md:block">
              {fixed(backup.megabytes, 1)} MB
            </span>
            <button type="button" className="btn btn-quiet" onClick={() => void look(backup)}>
              Look at it
            </button>
          </li>
        ))}
      </ul>
      <Modal
        open={looked !== undefined}
        onOpenChange={(open) => !open && busy !== "putting-back" && setLooked(undefined)}
        title={`Backup ${looked?.backup.id ?? ""}`}
        says={looked?.backup.says ?? ""}
      >
        {busy === "looking" && <p role="status">It is opened and looked through …</p>}
        {looked?.fault !== undefined && (
          <Notice tone="stop" live>
            <b>It is no good.</b> {looked.fault}
          </Notice>
        )}
        {looked?.lost !== undefined && looked.fault === undefined && (
          <>
            <Notice tone="go">It is whole.</Notice>
            <Notice tone="wait">
              <b>Putting it back:</b> {looked.lost}
            </Notice>
          </>
        )}
        {refused !== undefined && (
          <Notice tone="stop" live>
            <b>Nothing was changed.</b> {refused}
          </Notice>
        )}
        {looked !== undefined && (
          <div className="flex flex-wrap justify-end gap-3">
            <button
              type="button"
              className="btn btn-quiet"
              disabled={busy !== undefined}
              onClick={() => void takeAway(looked.backup)}
            >
              {busy === "taking-away" ? "Taking it away …" : "Take it away for good"}
            </button>
            <button type="button" className="btn btn-quiet" onClick={() => setLooked(undefined)}>
              Leave it
            </button>
            <button
              type="button"
              className="btn btn-stop"
              disabled={busy !== undefined || looked.lost === undefined || looked.fault !== undefined}
              onClick={() => void putBack(looked.backup)}
            >
              {busy === "putting-back" ? "Putting it back …" : "Put it back"}
            </button>
          </div>
        )}
      </Modal>
    </>
  );
}
