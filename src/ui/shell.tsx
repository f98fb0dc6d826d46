"use client";

import clsx from "clsx";
import dynamic from "next/dynamic";
import { usePathname } from "next/navigation";
import { type ReactNode, useEffect, useState } from "react";
import { ALONG } from "@/device/pages";
import type { LiveNews } from "@/edge/contracts/here";
import { AsItStood, BegunHere } from "./along/as-it-stood";
import { SyncSign } from "./along/sync-sign";
import { useDevice } from "./along/use-device";
import { RingBar } from "./bell/ring-bar";
import { useBellsHere } from "./bell/use-bells-here";
import { knotOf } from "./bell-knots";
import { Rope } from "./draw/rope";
import { HatchDefs } from "./draw/solids";
import { remembered } from "./instruments/remembered";
import { typing } from "./keys";
import { Myself, PhoneHead, Tabs, Warnings } from "./shell-head";
import { useFind } from "./use-find";
import { useNews } from "./use-news";
import { useNow } from "./when";

/** What may wait for the day's end. */
const CALM: readonly string[] = ["due", "case", "at-work"];

const commands = () => import("./commands").then((made) => made.Commands);
const Commands = dynamic(commands, { ssr: false });
const KeyMap = dynamic(() => import("./key-map").then((made) => made.KeyMap), { ssr: false });

/** Nobody who stands in a pit can mend these: they wait for whoever sits at the server. */
const FOR_THE_DESK: ReadonlySet<string> = new Set(["no-backup", "little-room"]);

/** What surrounds every screen: the bell and its rope, the tabs, find, keys. */
export function Shell({
  news,
  demo,
  drawn,
  children,
}: {
  news: LiveNews;
  demo: boolean;
  /** When the server drew this page, ms. */
  drawn: number;
  children: ReactNode;
}) {
  const { bells: said, doubts, faults } = useNews(news);
  const bells = useBellsHere(said);
  useDevice();
  // Fetched only where something was connected before.
  useEffect(() => {
    if (remembered().length > 0)
      void import("./instruments/resume").then(
        (made) => made.resume(),
        () => {},
      );
  }, []);
  const path = usePathname();
  const now = useNow(1000);
  const { finding, setFinding, wanted, takeEarlier } = useFind();
  const [asking, setAsking] = useState(false);
  const [asked, setAsked] = useState(false);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== "?" || typing(event)) return;
      setAsking(true);
      setAsked(true);
    };
    addEventListener("keydown", onKey);
    return () => removeEventListener("keydown", onKey);
  }, []);
  // Fetched when the page stands: nothing of it is seen before a key is pressed.
  useEffect(() => {
    void commands();
  }, []);
  const knots = bells.slice(0, 14).map((bell) => knotOf(bell, now));
  const ringing = now !== null && bells.some((bell) => bell.at <= now && !CALM.includes(bell.kind));
  const inJob = (/^\/jobs\/[^/]+$/.test(path) && path !== "/jobs/new") || path === `${ALONG}/job`;
  const urgent =
    now === null
      ? []
      : bells.filter((bell) => bell.kind === "wait" || bell.kind === "impairment").slice(0, 2);
  return (
    <div className="min-h-dvh md:grid md:grid-cols-[6.5rem_1fr] print:block">
      <a href="#main" className="skip no-print">
        To the page
      </a>
      <HatchDefs />
      {/* A job keeps to the screen: what stands over it takes its room from the card, and pushes no button out of sight. */}
      <div className={clsx("flex min-w-0 flex-col", inJob ? "h-dvh" : "min-h-dvh")}>
        <header className="no-print sticky top-0 z-20 md:static">
          <PhoneHead urgent={urgent} now={now} ringing={ringing} onFind={() => setFinding(true)} />
          <div
            className={clsx(
              "items-center gap-1 border-rule border-b-[1.5px] bg-paper px-2 md:px-5",
              inJob ? "hidden md:flex" : "flex",
            )}
          >
            <Tabs path={path} />
            {demo && (
              <span className="plate hidden whitespace-nowrap rounded bg-brass-bg px-2 text-fine text-ink lg:inline">
                Demonstration data
              </span>
            )}
            <button
              type="button"
              onClick={() => setFinding(true)}
              className="hidden h-11 min-w-[210px] items-center justify-between gap-3 whitespace-nowrap rounded-full border-[1.5px] border-rule bg-card px-4 text-fine text-soft md:flex"
            >
              Find a valve or part <span className="key">/</span>
            </button>
            <span className="hidden md:block">
              <SyncSign />
            </span>
            <span className="hidden md:block">
              <Myself />
            </span>
          </div>
        </header>
        {!path.startsWith(ALONG) && (
          <>
            <AsItStood drawn={drawn} />
            {!inJob && <BegunHere />}
          </>
        )}
        <RingBar bells={bells} />
        <Warnings
          doubts={doubts}
          faults={inJob ? faults.filter(({ kind }) => !FOR_THE_DESK.has(kind)) : faults}
        />
        <main id="main" tabIndex={-1} className="min-h-0 min-w-0 flex-1 outline-none">
          {children}
        </main>
      </div>
      <aside
        aria-label="The rope: what rings next"
        className="no-print sticky order-first top-0 hidden h-dvh bg-[var(--rope-bg)] md:block"
      >
        {/* What it says hangs on the clock of the device: it is drawn there. */}
        {now !== null && <Rope knots={knots} ringing={ringing} />}
      </aside>
      {wanted && <Commands open={finding} onOpenChange={setFinding} takeEarlier={takeEarlier} />}
      {(asking || asked) && <KeyMap open={asking} onOpenChange={setAsking} />}
    </div>
  );
}
