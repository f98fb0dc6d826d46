import type { Apart, JointWork } from "@/core/due-work";
import { formatQuantity } from "@/core/quantity";
import type { Speaker } from "./speaker";

/** What shutting off once saves, as far as it is worth a word. */
export function savesWords({ say, ...notation }: Speaker, saves: JointWork["saves"]): string {
  const { together, common } = say;
  const parts = [
    saves.minutes >= 1 && together.minutes(Math.round(saves.minutes)),
    saves.valves >= 1 && together.valves(saves.valves),
    saves.litres >= 1 && together.litres(formatQuantity(saves.litres / 1000, "volume", notation)),
    saves.outage_min >= 1 && together.outage(Math.round(saves.outage_min)),
  ].flatMap((part) => (part === false ? [] : [part]));
  const costs = [
    saves.litres <= -1 && together.litres(formatQuantity(-saves.litres / 1000, "volume", notation)),
    saves.outage_min <= -1 && together.outage(Math.round(-saves.outage_min)),
  ].flatMap((part) => (part === false ? [] : [part]));
  return [
    together.saves(common.and(parts)),
    ...(costs.length > 0 ? [together.costs(common.and(costs))] : []),
  ].join(" ");
}

/** Why two are never out at a time. */
export function apartWords({ say }: Speaker, because: Apart["because"]): string {
  const { together } = say;
  switch (because.kind) {
    case "unprotected":
      return together.unprotected(because.vessel);
    case "turned":
      return together.turned(because.valve);
    case "without":
      return together.without(because.name);
    case "one-section":
      return together.oneSection;
  }
}
