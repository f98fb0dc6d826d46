import type { SpokenBell } from "@/words";
import type { Knot } from "./draw/rope";
import { shortWhen } from "./when";

/** The way to what rings: the job it belongs to, or the valve that is due. */
export const bellHref = (bell: SpokenBell) =>
  bell.job === undefined
    ? `/valves/${encodeURIComponent(bell.valve)}`
    : `/jobs/${encodeURIComponent(bell.job)}`;

/** A bell as a knot of the rope. */
export function knotOf(bell: SpokenBell, now: number | null): Knot {
  const late = now !== null && bell.at < now;
  const tone =
    bell.kind === "impairment" || bell.kind === "stopped"
      ? "stop"
      : bell.kind === "wait"
        ? "wait"
        : (bell.kind === "due" || bell.kind === "case") && !late
          ? "later"
          : "due";
  const says: Record<SpokenBell["kind"], string> = {
    wait: bell.title.toLowerCase(),
    impairment: "post a watch",
    stopped: "stopped",
    "at-work": "at work",
    due: "due",
    case: "trouble",
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
