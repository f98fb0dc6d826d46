import { judgeStanding, type StandingVerdict } from "../physics";
import { formatQuantity, type UnitSystem } from "../quantity";
import type { TakenReading } from "./taken-reading";

/** Standard air pressure; a gauge's zero moves with the weather by less than the bound that is judged with. */
const SURROUNDINGS_PA = 101_325;

/**
 * What the newest proving readings say of the closures: from the last reading before the wait to the newest one after
 * it. Nothing when no wait lies between.
 *
 * @param bound Pa: a rise above this counts
 */
export function judgeStill(readings: readonly TakenReading[], bound: number): StandingVerdict | undefined {
  const proving = readings.filter((each) => each.step.startsWith("prove:"));
  const first = proving.findLastIndex((each) => each.step === "prove:gauge");
  const since = proving.slice(first);
  const start = since[0];
  if (first === -1 || start === undefined || since.length < 2) return undefined;
  return judgeStanding(
    since.map(({ at, si, kelvin }) => ({
      seconds: (at - start.at) / 1000,
      gauge: si,
      ...(kelvin !== undefined && { kelvin }),
    })),
    bound,
    SURROUNDINGS_PA,
  );
}

/** What a standing test means, and what to do about it. */
export function standingWords({ kind, rise, corrected }: StandingVerdict, system: UnitSystem): string {
  const say = (pascals: number) => formatQuantity(Math.max(0, pascals), "pressure difference", system);
  switch (kind) {
    case "holds":
      return "It holds.";
    case "only-warming":
      return `It rose by ${say(rise)}, and warming alone explains that: no closure is to blame. Vent it and let it stand again.`;
    case "residue":
      return `It rose by ${say(rise)} and is levelling off: liquid left behind boils away. Vent or pump it down again, and let it stand anew.`;
    case "let-in":
      return `${say(corrected)} of the rise is not explained by warming: something is let in. Name the closure that passes, or look for liquid left behind.`;
  }
}
