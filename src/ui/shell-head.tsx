"use client";

import clsx from "clsx";
import Link from "next/link";
import type { LiveNews } from "@/edge/contracts/here";
import type { SpokenBell } from "@/words";
import { SyncSign } from "./along/sync-sign";
import { bellHref } from "./bell-knots";
import { BellShape } from "./draw/rope";
import { useSignedIn } from "./settings";
import { shortWhen } from "./when";

const TABS = [
  ["/", "Today"],
  ["/jobs", "Jobs"],
  ["/valves", "Valves"],
  ["/lines", "Lines"],
  ["/rounds", "Rounds"],
  ["/bench", "Bench book"],
  ["/sheets", "Sheets"],
  ["/store", "Store"],
  ["/loft", "Loft"],
] as const;

/** Rooms that one enters from the loft. */
const OWN = /^\/(places|crew|instruments|me)\b/;

/** The ways to every room. */
export function Tabs({ path }: { path: string }) {
  return (
    <nav aria-label="Main" className="flex min-w-0 flex-1 overflow-x-auto">
      {TABS.map(([href, name]) => {
        const on =
          href === "/" ? path === "/" : path.startsWith(href) || (href === "/loft" && OWN.test(path));
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
  );
}

/** What stands over every screen in the hand: the bell, what presses, find. */
export function PhoneHead({
  urgent,
  now,
  ringing,
  onFind,
}: {
  urgent: readonly SpokenBell[];
  /** Nothing before the page knows the time. */
  now: number | null;
  ringing: boolean;
  onFind: () => void;
}) {
  return (
    <div className="flex h-14 items-center gap-2 bg-[var(--rope-bg)] px-3 text-[var(--rope-ink)] md:hidden">
      <Link href="/" aria-label="Today" className="grid size-12 shrink-0 place-items-center">
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
              "plate grid min-h-12 place-items-center whitespace-nowrap rounded-full border-[1.5px] px-3 text-body",
              bell.kind === "wait"
                ? "border-(--ink-rope-edge) text-(--ink-rope-wait-text)"
                : "border-(--ink-rope-stop) text-(--ink-rope-stop-text)",
            )}
          >
            {now === null ? "…" : shortWhen(bell.at, now)} {bell.kind === "wait" ? bell.short : "watch"}
          </Link>
        ))}
      </span>
      <button
        type="button"
        onClick={onFind}
        className="plate min-h-12 shrink-0 rounded-full border-[1.5px] border-(--ink-rope-edge) px-4 text-body"
      >
        Find
      </button>
      <SyncSign />
      <Myself />
    </div>
  );
}

/** What whoever works here has to know of the installation itself. */
export function Warnings({ doubts, faults }: Pick<LiveNews, "doubts" | "faults">) {
  if (doubts === 0 && faults.length === 0) return null;
  return (
    <div
      role="status"
      className="no-print border-stop border-b-[3px] bg-stop-bg px-4 py-1.5 text-note text-ink md:px-5"
    >
      {doubts > 0 && (
        <p>
          <b>
            {doubts === 1 ? "One record is" : `${doubts} records are`} not as{" "}
            {doubts === 1 ? "it was" : "they were"} stored.
          </b>{" "}
          <Link href="/loft#proof" className="underline underline-offset-4">
            See which
          </Link>
        </p>
      )}
      {faults.map(({ kind, message }) => (
        <p key={kind}>{message}</p>
      ))}
    </div>
  );
}

/** Who signed in, and the way to one's own page. */
export function Myself() {
  const signedIn = useSignedIn();
  if (signedIn === undefined) return null;
  return (
    <Link
      href="/me"
      aria-label={`${signedIn.name}: your sign-in`}
      className="plate grid size-12 shrink-0 place-items-center rounded-full border-[1.5px] border-rule bg-card text-body text-ink"
    >
      {initials(signedIn.name)}
    </Link>
  );
}

const initials = (name: string): string =>
  name
    .split(/\s+/)
    .map((word) => word[0] ?? "")
    .filter((_, index, all) => index === 0 || index === all.length - 1)
    .join("")
    .toUpperCase();
