import { readdirSync } from "node:fs";
import { join } from "node:path";
import type { Trouble } from "@/core/formats";
import { type Calibration, calibration } from "@/core/trouble";
import type { Services } from "../services";
import { shippedTrouble, troubleOf } from "./knowledge";
import { type LearntCase, learntCases } from "./learnt";

/** What is known of a family, where it comes from, and what came of it here. */
export interface KnownTrouble {
  readonly knowledge: Trouble;
  /** Written here, in place of what ships. */
  readonly own: boolean;
  readonly ships: boolean;
  readonly learnt: readonly LearntCase[];
}

let shipped: readonly string[] | undefined;
const shippedFamilies = (): readonly string[] => {
  shipped ??= readdirSync(join(process.cwd(), "library", "trouble")).flatMap((name) =>
    name.endsWith(".json") ? [name.slice(0, -".json".length)] : [],
  );
  return shipped;
};

export function knownTrouble(services: Services, family: string): KnownTrouble | undefined {
  const knowledge = troubleOf(services, family);
  return knowledge === undefined
    ? undefined
    : {
        knowledge,
        own: services.things.one("trouble", family) !== undefined,
        ships: shippedTrouble(family) !== undefined,
        learnt: learntCases(services, knowledge),
      };
}

/** All families something is known of, and whether their odds have held. */
export function allTrouble(services: Services): {
  readonly families: readonly KnownTrouble[];
  readonly calibration: Calibration;
} {
  const names = new Set([
    ...shippedFamilies(),
    ...services.things.all("trouble").map(({ family }) => family),
  ]);
  const families = [...names].flatMap((family) => knownTrouble(services, family) ?? []);
  return {
    families: families.sort((a, b) => a.knowledge.title.localeCompare(b.knowledge.title)),
    calibration: calibration(families.flatMap(({ learnt }) => learnt)),
  };
}
