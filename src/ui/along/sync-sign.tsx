"use client";

import clsx from "clsx";
import { Check, CloudOff, Hourglass, TriangleAlert } from "lucide-react";
import Link from "next/link";
import { ALONG } from "@/device/pages";
import { useStanding } from "../use-standing";
import { useKeptHere } from "./use-kept-here";

/** Whether all that was entered here is on the server: on every screen, and the way to what is not. */
export function SyncSign() {
  const kept = useKeptHere();
  const standing = useStanding();
  const { waiting = 0, aside = 0 } = kept ?? {};
  const { Icon, says, tone } =
    aside > 0
      ? { Icon: TriangleAlert, says: `${aside} put aside`, tone: "border-stop bg-stop-bg text-ink" }
      : waiting > 0
        ? { Icon: Hourglass, says: `${waiting} waiting`, tone: "border-wait bg-wait-bg text-ink" }
        : standing.kind === "no-signal"
          ? { Icon: CloudOff, says: "no signal", tone: "border-wait bg-card text-ink" }
          : { Icon: Check, says: "all there", tone: "border-rule bg-card text-soft" };
  const quiet = aside === 0 && waiting === 0;
  return (
    <Link
      href={ALONG}
      data-sync={says}
      aria-label={`On this device: ${says}`}
      className={clsx(
        "plate flex min-h-12 shrink-0 items-center justify-center gap-1.5 rounded-full border-[1.5px] text-fine",
        quiet ? "w-12" : "px-3",
        tone,
      )}
    >
      <Icon size={20} aria-hidden="true" />
      {!quiet && (
        <>
          <span className="md:hidden">{aside > 0 ? aside : waiting}</span>
          <span className="hidden whitespace-nowrap md:inline">{says}</span>
        </>
      )}
    </Link>
  );
}
