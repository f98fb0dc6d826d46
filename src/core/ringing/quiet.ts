/** Hours in which nothing rings that may wait: minutes of the local day, [from, to). The same twice: none. */
export interface Quiet {
  readonly from: number;
  readonly to: number;
}

/** The minute of the day where the device is; ms since the epoch to 0 up to 1440. */
export type LocalMinute = (at: number) => number;

/** From seven in the evening to six. */
export const QUIET_USUALLY: Quiet = { from: 19 * 60, to: 6 * 60 };

const DAY_MIN = 24 * 60;
/** How long from one minute of the day to another, going on. */
const onTo = (from: number, to: number): number => (to - from + DAY_MIN) % DAY_MIN;

export function inQuiet({ from, to }: Quiet, minute: number): boolean {
  return onTo(from, minute) < onTo(from, to);
}

/** The first moment from `at` on that is not in the quiet hours, ms. */
export function quietEnds(quiet: Quiet, at: number, localMinute: LocalMinute): number {
  const minute = localMinute(at);
  return inQuiet(quiet, minute) ? at + onTo(minute, quiet.to) * 60_000 : at;
}
