"use client";

import clsx from "clsx";
import dynamic from "next/dynamic";
import Link from "next/link";
import { usePathname } from "next/navigation";
import { type ReactNode, useEffect, useState } from "react";
import type { Bell } from "@/core/job";
import type { LiveNews } from "@/edge/contracts/here";
import { BellShape, type Knot, Rope } from "./draw/rope";
import { HatchDefs } from "./draw/solids";
import { typing } from "./keys";
import { useFind } from "./use-find";
import { useNews } from "./use-news";
import { shortWhen, useNow } from "./when";

const commands = () => import("./commands").then((made) => made.Commands);
const Commands = dynamic(commands, { ssr: false });
const KeyMap = dynamic(() => import("./key-map").then((made) => made.KeyMap), { ssr: false });

const TABS = [
  ["/", "Today"],
  ["/jobs", "Jobs"],
  ["/valves", "Valves"],
  ["/lines", "Lines"],
  ["/bench", "Bench book"],
  ["/sheets", "Sheets"],
  ["/store", "Store"],
  ["/loft", "Loft"],
] as const;

/** The way to what rings: the job it belongs to, or the valve that is due. */
export const bellHref = (bell: Bell) =>
  bell.job === undefined
    ? `/valves/${encodeURIComponent(bell.valve)}`
    : `/jobs/${encodeURIComponent(bell.job)}`;

function knotOf(bell: Bell, now: number | null): Knot {
  const late = now !== null && bell.at < now;
  const tone =
    bell.kind === "impairment" || bell.kind === "stopped"
      ? "stop"
      : bell.kind === "wait"
        ? "wait"
        : bell.kind === "due" && !late
          ? "later"
          : "due";
  const says: Record<Bell["kind"], string> = {
    wait: "stand test",
    impairment: "post a watch",
    stopped: "stopped",
    "at-work": "at work",
    due: "due",
  };
  return {
    id: bell.id,
    when:
      now === null
        ? "…"
        : bell.kind === "stopped" || bell.kind === "at-work"
          ? says[bell.kind]
          : shortWhen(bell.at, now),
    lines: bell.kind === "stopped" || bell.kind === "at-work" ? [bell.valve] : [says[bell.kind], bell.valve],
    tone,
    href: bellHref(bell),
  };
}

/** What surrounds every screen: the bell and its rope, the tabs, find, keys. */
export function Shell({
  news,
  demo,
  openToNetwork,
  children,
}: {
  news: LiveNews;
  demo: boolean;
  /** Whether others on the network reach this server. */
  openToNetwork: boolean;
  children: ReactNode;
}) {
  const { bells, doubts } = useNews(news);
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
  const ringing =
    now !== null && bells.some((bell) => bell.at <= now && bell.kind !== "due" && bell.kind !== "at-work");
  const inJob = /^\/jobs\/[^/]+$/.test(path) && path !== "/jobs/new";
  const urgent =
    now === null
      ? []
      : bells.filter((bell) => bell.kind === "wait" || bell.kind === "impairment").slice(0, 2);
  return (
    <div className="min-h-dvh md:grid md:grid-cols-[6.5rem_1fr] print:block">
      <a href="#main" className="skip">
        To the page
      </a>
      <HatchDefs />
      <div className="flex min-h-dvh min-w-0 flex-col">
        <header className="no-print sticky top-0 z-20 md:static">
          <div className="flex h-14 items-center gap-2 bg-[var(--rope-bg)] px-3 text-[var(--rope-ink)] md:hidden">
            <Link href="/" aria-label="Today" className="grid size-11 shrink-0 place-items-center">
              <svg width={34} height={42} viewBox="20 8 64 74" aria-hidden="true">
                <BellShape ringing={ringing} />
              </svg>
            </Link>
            <span className="ml-auto flex min-w-0 gap-2 overflow-x-auto">
              {urgent.map((bell) => (
                <Link
                  key={bell.id}
                  href={bellHref(bell)}
                  className={clsx(
                    "plate grid min-h-11 place-items-center whitespace-nowrap rounded-full border-[1.5px] px-3 text-body",
                    bell.kind === "wait"
                      ? "border-(--ink-rope-edge) text-(--ink-rope-wait-text)"
                      : "border-(--ink-rope-stop) text-(--ink-rope-stop-text)",
                  )}
                >
                  {shortWhen(bell.at, now!)} {bell.kind === "wait" ? "stand" : "watch"}
                </Link>
              ))}
            </span>
            <button
              type="button"
              onClick={() => setFinding(true)}
              className="plate min-h-11 shrink-0 rounded-full border-[1.5px] border-(--ink-rope-edge) px-4 text-body"
            >
              Find
            </button>
          </div>
          <div
            className={clsx(
              "items-center gap-1 border-rule border-b-[1.5px] bg-paper px-2 md:px-5",
              inJob ? "hidden md:flex" : "flex",
            )}
          >
            <nav aria-label="Main" className="flex min-w-0 flex-1 overflow-x-auto">
              {TABS.map(([href, name]) => {
                const on = href === "/" ? path === "/" : path.startsWith(href);
                return (
                  <Link
                    key={href}
                    href={href}
                    aria-current={on ? "page" : undefined}
                    className={clsx(
                      "plate flex h-[54px] items-center whitespace-nowrap px-3 text-lead tracking-[.02em]",
                      on ? "text-ink shadow-[inset_0_-3px_0_var(--brass-line)]" : "text-soft",
                    )}
                  >
                    {name}
                  </Link>
                );
              })}
            </nav>
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
          </div>
        </header>
        {(openToNetwork || doubts > 0) && (
          <div className="no-print flex flex-col gap-1 border-stop border-b-[3px] bg-stop-bg px-4 py-1.5 text-note text-ink md:px-5">
            {openToNetwork && (
              <p>
                <b>Open to this network:</b> whoever reaches it can read everything and write in anybody’s
                name. There is no sign-in yet.
              </p>
            )}
            {doubts > 0 && (
              <p role="status">
                <b>
                  {doubts === 1 ? "One record is" : `${doubts} records are`} not as{" "}
                  {doubts === 1 ? "it was" : "they were"} stored.
                </b>{" "}
                <Link href="/loft#proof" className="underline underline-offset-4">
                  See which
                </Link>
              </p>
            )}
          </div>
        )}
        <main id="main" tabIndex={-1} className="min-w-0 flex-1 outline-none">
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
