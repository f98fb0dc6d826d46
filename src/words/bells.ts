import type { Bell, PutOff } from "@/core/job";
import { unreachable } from "@/core/result";
import type { Speaker } from "./speaker";
import { stepTitle, stepWords } from "./step-words";

/** A bell as a screen shows it. */
export interface SpokenBell {
  readonly id: string;
  readonly kind: Bell["kind"];
  /** When it rings, ms since the epoch. */
  readonly at: number;
  readonly title: string;
  readonly says: string;
  /** In a word or two, where there is no room for more. */
  readonly short: string;
  readonly valve: string;
  readonly job?: string;
  /** What to look at when it rings. */
  readonly look: string;
  /** Silent for a while, and why. */
  readonly putOff?: PutOff;
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
    ...(bell.putOff !== undefined && { putOff: bell.putOff }),
    look: lookAt(speaker, bell),
    ...said(speaker, bell),
  };
}

function said(speaker: Speaker, bell: Bell): Pick<SpokenBell, "title" | "says" | "short"> {
  const { say } = speaker;
  const words = say.entries.bells;
  switch (bell.kind) {
    case "wait": {
      const { title, short, says } = words.waits[bell.for];
      return { title, short, says: says(bell.valve) };
    }
    case "impairment":
      return {
        short: words.watch,
        title: words.outOfService(say.common.commas(bell.lost)),
        says: words.postAWatch(bell.valve),
      };
    case "stopped":
      return { title: words.stopped, short: words.stopped, says: words.of(bell.valve, bell.reason) };
    case "at-work":
      return {
        short: words.open,
        title: words.open,
        says: words.of(bell.valve, bell.step === undefined ? words.signOff : stepTitle(speaker, bell.step)),
      };
    case "case":
      return {
        title: words.cameOf(bell.ended),
        short: words.trouble,
        says: words.complaint(bell.says, bell.to),
      };
    case "due":
      return { title: bell.what, short: words.due, says: bell.why };
    default:
      return unreachable(bell);
  }
}

/** What to look at now that it rings. */
function lookAt(speaker: Speaker, bell: Bell): string {
  const { look } = speaker.say.ringing;
  switch (bell.kind) {
    case "wait": {
      const then = bell.step && stepWords(speaker, bell.step).afterwards;
      return then === undefined || then === ""
        ? look.wait[bell.for]
        : look.andThen(look.wait[bell.for], then);
    }
    case "due":
      return look.due(bell.what);
    default:
      return look[bell.kind];
  }
}
