import { type Round, type Sending, sendAll } from "./send-all";
import { KEPT } from "./tell-kept";

/** How what lies on this device stands to the server. */
export type Standing = Round | { readonly kind: "sending" };

const RETRY_MS = 3000;

let standing: Standing = { kind: "all-there" };
const listeners = new Set<() => void>();

export const standingNow = (): Standing => standing;
export function onStanding(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}
function stand(now: Standing): void {
  if (JSON.stringify(now) === JSON.stringify(standing)) return;
  standing = now;
  for (const listener of listeners) listener();
}

/** One page of this device sends at a time; where the browser has no locks, twice does no harm. */
async function alone(work: () => Promise<void>): Promise<boolean> {
  if (navigator.locks === undefined) {
    await work();
    return true;
  }
  return navigator.locks.request("loftbell-sync", { ifAvailable: true }, async (lock) => {
    if (lock !== null) await work();
    return lock !== null;
  });
}

/** Sends what waits, now and whenever something is kept or the signal comes back. @returns ends it */
export function startSync(sending: Sending): () => void {
  let running = false;
  let again = false;
  let ended = false;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const round = async (): Promise<void> => {
    if (running) {
      again = true;
      return;
    }
    running = true;
    clearTimeout(timer);
    let ran = false;
    try {
      do {
        again = false;
        ran = await alone(async () => {
          if (standing.kind === "all-there") stand({ kind: "sending" });
          stand(await sendAll(sending));
        });
      } while (again && standing.kind === "all-there" && !ended);
    } finally {
      running = false;
      if (!ended && (!ran || standing.kind !== "all-there")) timer = setTimeout(() => void round(), RETRY_MS);
    }
  };
  const now = () => void round();
  now();
  addEventListener(KEPT, now);
  addEventListener("online", now);
  return () => {
    ended = true;
    clearTimeout(timer);
    removeEventListener(KEPT, now);
    removeEventListener("online", now);
  };
}
