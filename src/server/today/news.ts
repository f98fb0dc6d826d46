import type { SpokenBell } from "@/words";
import { type Fault, faultsNow } from "../faults/running";
import { watched } from "../proof/watch";
import type { Services } from "../services";
import { bells } from "./bells";

/** What every open screen hears when something changed. */
export interface News {
  readonly changes: number;
  readonly bells: readonly SpokenBell[];
  readonly doubts: number;
  /** What is wrong with the server itself. */
  readonly faults: readonly Fault[];
}

/** Bells that a rope has room for, and those behind them that ring soon. */
const MOST_BELLS = 16;
/** What is due by the calendar moves with the clock, too. */
const STALE_MS = 30_000;
/** So old, news are good enough for a page: many are drawn in a moment in which many things change. */
const FRESH_MS = 200;
/** Changes that come together are told together, and after any news that were made before them. */
const TOGETHER_MS = FRESH_MS + 50;
/** Sent while nothing happens, so that a line that broke is noticed. */
const STILL_HERE_MS = 20_000;

interface Made {
  readonly news: News;
  /** All that rings: the screens hear of the first of it. */
  readonly ringing: readonly SpokenBell[];
  readonly at: number;
}
const NEWS = "news";

/** What every open screen hears. */
export const newsNow = (services: Services): News => made(services).news;

/** Everything that rings, nearest first. */
export const ringingNow = (services: Services): readonly SpokenBell[] => made(services).ringing;

/** What rings, worked out once for all who ask between two changes. */
function made(services: Services): Made {
  const { live, now } = services;
  const doubts = watched(services).doubts.length;
  const known = services.kept.get(NEWS) as Made | undefined;
  const age = known === undefined ? Number.POSITIVE_INFINITY : now() - known.at;
  const fresh = known?.news.changes === live.changes && known.news.doubts === doubts;
  if (known !== undefined && age >= 0 && (age < FRESH_MS || (fresh && age < STALE_MS))) return known;
  const ringing = bells(services);
  const news = {
    changes: live.changes,
    bells: ringing.slice(0, MOST_BELLS),
    doubts,
    faults: faultsNow(services),
  };
  const made: Made = { news, ringing, at: now() };
  services.kept.set(NEWS, made);
  return made;
}

/**
 * The news as server-sent events: once at the beginning, and anew within a moment of every change.
 *
 * @param mayHear whether whoever listens still may; asked before each word
 */
export function liveStream(
  services: Services,
  signal: AbortSignal,
  mayHear: () => boolean = () => true,
): ReadableStream<Uint8Array> {
  const encoder = new TextEncoder();
  let end = () => {};
  return new ReadableStream({
    start(controller) {
      const close = () => {
        end();
        try {
          controller.close();
        } catch {
          // Closed by the other side already.
        }
      };
      const send = (text: string) => (mayHear() ? controller.enqueue(encoder.encode(text)) : close());
      const tell = () => send(`data: ${JSON.stringify(newsNow(services))}\n\n`);
      let waiting: NodeJS.Timeout | undefined;
      const stopListening = services.live.listen(() => {
        waiting ??= setTimeout(() => {
          waiting = undefined;
          tell();
        }, TOGETHER_MS);
      });
      const still = setInterval(() => send(": still here\n\n"), STILL_HERE_MS);
      end = () => {
        stopListening();
        clearInterval(still);
        clearTimeout(waiting);
      };
      signal.addEventListener("abort", close);
      send("retry: 2000\n");
      tell();
    },
    cancel: () => end(),
  });
}
