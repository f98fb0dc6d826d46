import type { Doubt } from "../proof/verify";
import { forget, type Services } from "../services";

/**
 * What the process that serves tells one that draws, with every page it wants drawn. A drawing process only reads: what
 * was changed, and what is in doubt, it has from here.
 */
export interface Told {
  /** How often something changed since the server began. */
  readonly changes: number;
  /** Differs from the one before when something was written over that a reader may remember. */
  readonly era: string;
  readonly watched: { readonly doubts: readonly Doubt[]; readonly whole: boolean };
  /** Why the last storing failed. */
  readonly fault?: string;
}

const TOLD = "told";

/** What this process was told; nothing in the one that serves. */
export const toldTo = ({ kept }: Services): Told | undefined => kept.get(TOLD) as Told | undefined;

/** Takes what was told, and lets go of what it makes stale. What was told later may have been heard earlier. */
export function take(services: Services, told: Told): void {
  const known = toldTo(services);
  if (known !== undefined && known.changes > told.changes) return;
  services.kept.set(TOLD, told);
  services.live.told(told.changes, told.fault);
  if (known?.era !== told.era) forget(services);
}
