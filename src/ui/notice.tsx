import clsx from "clsx";
import type { ReactNode } from "react";

const TONES = {
  wait: "border-wait bg-wait-bg",
  stop: "border-stop bg-stop-bg",
  go: "border-go bg-go-bg",
} as const;

/** A bar of words that must not be missed; "stop" is read out at once. */
export function Notice({
  tone,
  children,
  live,
}: {
  tone: keyof typeof TONES;
  children: ReactNode;
  live?: boolean;
}) {
  return (
    <div
      role={live ? (tone === "stop" ? "alert" : "status") : undefined}
      className={clsx("rounded border-l-[6px] px-4 py-3 text-body leading-snug text-ink", TONES[tone])}
    >
      {children}
    </div>
  );
}

/** An empty list says what would be here and what to do. */
export function Empty({ children }: { children: ReactNode }) {
  return <p className="px-1 py-4 text-soft">{children}</p>;
}
