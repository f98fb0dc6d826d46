"use client";

import clsx from "clsx";
import type { Saving } from "./use-job-log";

const SAVING: Record<Saving["kind"], string> = {
  saved: "saved",
  sending: "saving …",
  "waiting-for-signal": "kept on this device, waiting for signal",
  "not-stored": "kept on this device, the server does not store",
};

/** Where the entries are: stored, under way, or kept on this device. */
export function SavingSign({ saving }: { saving: Saving }) {
  return (
    <span
      role="status"
      className={clsx(
        "plate ml-auto text-note",
        saving.kind === "waiting-for-signal" || saving.kind === "not-stored" ? "text-wait" : "text-go-text",
      )}
    >
      {SAVING[saving.kind]}
    </span>
  );
}
