import { outboxOf } from "./entries";
import type { DeviceStore } from "./store";
import { tellKept } from "./tell-kept";

/** How long a bell of a job is to be silent, and why. */
export interface PutOffAsked {
  readonly job: string;
  readonly bell: string;
  readonly minutes: number;
  readonly reason: string;
  readonly by: string;
}

/**
 * Puts a bell of a job off: an entry like any other, kept here until the server has it.
 *
 * @param at ms by the server's clock
 */
export async function putBellOff(
  store: DeviceStore,
  { job, ...asked }: PutOffAsked,
  { id, at }: { readonly id: string; readonly at: number },
): Promise<void> {
  await outboxOf(store, job).keep({
    v: 1,
    id,
    at: new Date(at).toISOString(),
    kind: "bell-put-off",
    ...asked,
  });
  tellKept();
}
