"use client";

import clsx from "clsx";
import { useSpeaker } from "../use-speaker";
import type { Saving } from "./use-job-log";

/** Where the entries are: stored, under way, or kept on this device. */
export function SavingSign({ saving }: { saving: Saving }) {
  const words = useSpeaker().say.card.saving;
  return (
    <span
      role="status"
      className={clsx(
        "plate ml-auto text-note",
        saving.kind === "waiting-for-signal" || saving.kind === "not-stored" ? "text-wait" : "text-go-text",
      )}
    >
      {words[saving.kind]}
    </span>
  );
}
