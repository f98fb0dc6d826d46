import type { Bell } from "@/core/job";
import { unreachable } from "@/core/result";
import type { Speaker } from "./speaker";
import { stepTitle } from "./step-words";

/** A bell as a screen shows it. */
export interface SpokenBell {
  readonly id: string;
  readonly kind: Bell["kind"];
  /** When it rings, ms since the epoch. */
  readonly at: number;
  readonly title: string;
  readonly says: string;
  /** Of a wait: what for. */
  readonly for?: "the-section" | "a-soak";
  readonly valve: string;
  readonly job?: string;
}

/** A bell in words. */
export function bellWords(speaker: Speaker, bell: Bell): SpokenBell {
  const { id, kind, at, valve, job } = bell;
  return {
    id,
    kind,
    at,
    valve,
    ...(job !== undefined && { job }),
    ...(bell.kind === "wait" && { for: bell.for }),
    ...said(speaker, bell),
  };
}

function said({ say, system }: Speaker, bell: Bell): { title: string; says: string } {
  const words = say.entries.bells;
  switch (bell.kind) {
    case "wait":
      return bell.for === "the-section"
        ? { title: words.standTest, says: words.readAgain(bell.valve) }
        : { title: words.soak, says: words.lookAgain(bell.valve) };
    case "impairment":
      return {
        title: words.outOfService(say.common.commas(bell.lost)),
        says: words.postAWatch(bell.valve),
      };
    case "stopped":
      return { title: words.stopped, says: words.of(bell.valve, bell.reason) };
    case "at-work":
      return {
        title: words.open,
        says: words.of(
          bell.valve,
          bell.step === undefined ? words.signOff : stepTitle({ say, system }, bell.step),
        ),
      };
    case "due":
      return { title: bell.what, says: bell.why };
    default:
      return unreachable(bell);
  }
}
