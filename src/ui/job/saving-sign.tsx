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
        // In the hand the sign over the page says the same, and the card has the room.
        "plate ml-auto max-w-[11rem] text-right text-note leading-tight max-md:sr-only",
        saving.kind === "waiting-for-signal" || saving.kind === "not-stored" ? "text-wait" : "text-go-text",
      )}
    >
      {words[saving.kind]}
    </span>
  );
}
