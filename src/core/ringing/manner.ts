/** What rings on the rope, by what it is. */
export type Kind = "wait" | "impairment" | "stopped" | "at-work" | "due" | "case";

/** alarm: until somebody has looked or put it off; chime: once; silent: it only stands on the rope. */
export type Manner = "alarm" | "chime" | "silent";

const MANNERS: Readonly<Record<Kind, Manner>> = {
  wait: "alarm",
  impairment: "alarm",
  stopped: "chime",
  due: "chime",
  case: "chime",
  "at-work": "silent",
};
export const mannerOf = (kind: Kind): Manner => MANNERS[kind];

/** Whether nobody is harmed when it is heard in the morning: the calendar, and an answer that was promised. */
export const mayWait = (kind: Kind): boolean => kind === "due" || kind === "case";

/** How long an alarm is struck again and again without a pause, ms. */
const LOUD_MS = 60_000;
/** Between two strikes, ms: at first so that nobody misses it, then so that it is not torn out of the wall. */
const STEPS = [
  { within: LOUD_MS, every: 4000 },
  { within: 6 * 60_000, every: 15_000 },
  { within: Number.POSITIVE_INFINITY, every: 60_000 },
] as const;

/** When an alarm that has rung for so long (ms) is struck next, ms from now. */
export function strikesAfter(rungFor: number): number {
  return STEPS.find(({ within }) => rungFor < within)?.every ?? STEPS[0].every;
}
