import type { Kind } from "./manner";
import type { Ringable } from "./rings";

const URGENCY: Readonly<Record<Kind, number>> = {
  wait: 0,
  impairment: 0,
  stopped: 1,
  "at-work": 2,
  // Few, and somebody was promised an answer: never behind a register that is late.
  case: 3,
  due: 4,
};

/** Nearest first; what runs before what is due on the same day. */
export const inRingingOrder = <B extends Pick<Ringable, "id" | "kind" | "at">>(bells: readonly B[]): B[] =>
  [...bells].sort((a, b) => URGENCY[a.kind] - URGENCY[b.kind] || a.at - b.at || a.id.localeCompare(b.id));
