import { ELSE, type End, type Trouble, type TroubleFacts, UNLISTED } from "../formats";
import type { Advice } from "./advise";

/** What an end takes of time and service, as far as it is known. */
export interface Takes {
  /** min of work. */
  readonly minutes: number;
  /** min without service; 0 where nobody goes without, nothing where nobody knows. */
  readonly outage_min?: number;
}

/** What may be done, and how likely it is what is needed. */
export interface Way extends Takes {
  readonly end: string;
  readonly kind: End["kind"];
  /** Chance that it ends what is wrong, 0 to 1. */
  readonly chance: number;
}

/** A case as one tells it to whoever it belongs to: what it may be, what is done, what else could be. */
export interface Outlook {
  /** Likeliest first; what is hardly possible is left out. */
  readonly think: readonly { readonly cause: string; readonly chance: number }[];
  readonly will: Way;
  /** What else it may come to, likeliest first. */
  readonly otherwise: readonly Way[];
}

/** Less likely than this nobody is told of it. */
const WORTH_TELLING = 0.05;
const MOST_TOLD = 4;

/** @param end that was chosen; what is advised, or the cheapest to act on now, when absent */
export function outlook(
  { causes, ends }: Trouble,
  { costs }: TroubleFacts,
  { danger, next, actNow, odds }: Advice,
  end = danger?.end ?? (next.kind === "end" ? next.end : actNow.end),
): Outlook {
  const endOf = new Map(causes.map((cause) => [cause.id, cause.end]));
  const chance = new Map<string, number>();
  for (const { cause, chance: of } of odds) {
    const at = cause === ELSE ? UNLISTED : endOf.get(cause)!;
    chance.set(at, (chance.get(at) ?? 0) + of);
  }
  const wayTo = (id: string): Way => {
    const of = ends.find((each) => each.id === id);
    const cost = costs?.[id];
    return {
      end: id,
      kind: of?.kind ?? "order",
      chance: chance.get(id) ?? 0,
      minutes: cost?.minutes ?? of?.minutes ?? 0,
      // A job that was compiled without an outage takes nobody's service; what was not compiled is not known.
      ...(cost !== undefined
        ? { outage_min: cost.outage_min ?? 0 }
        : of?.kind === "do-now" || of?.kind === "watch"
          ? { outage_min: 0 }
          : {}),
    };
  };
  return {
    think: odds
      .filter(({ chance: of }) => of >= WORTH_TELLING)
      .slice(0, MOST_TOLD)
      .map(({ cause, chance: of }) => ({ cause, chance: of })),
    will: wayTo(end),
    otherwise: [...chance]
      .filter(([id, of]) => id !== end && of >= WORTH_TELLING)
      .sort((a, b) => b[1] - a[1])
      .slice(0, MOST_TOLD)
      .map(([id]) => wayTo(id)),
  };
}
