import type { Bell } from "@/core/job";
import { watched } from "../proof/watch";
import type { Services } from "../services";
import { bells } from "./bells";

/** What every open screen hears when something changed. */
export interface News {
  readonly changes: number;
  readonly bells: readonly Bell[];
  readonly doubts: number;
}

/** Bells that a rope has room for, and those behind them that ring soon. */
const MOST_BELLS = 40;
/** What is due by the calendar moves with the clock, too. */
const STALE_MS = 30_000;
/** Changes that come together are told together. */
const TOGETHER_MS = 60;
/** Sent while nothing happens, so that a line that broke is noticed. */
const STILL_HERE_MS = 20_000;

const made = new WeakMap<Services, { readonly news: News; readonly at: number }>();

/** What rings, worked out once for all who ask between two changes. */
export function newsNow(services: Services): News {
  const { live, now } = services;
  const doubts = watched(services).doubts.length;
  const known = made.get(services);
  if (
    known !== undefined &&
    known.news.changes === live.changes &&
    known.news.doubts === doubts &&
    now() - known.at < STALE_MS
  )
    return known.news;
  const news = { changes: live.changes, bells: bells(services).slice(0, MOST_BELLS), doubts };
  made.set(services, { news, at: now() });
  return news;
}

/** The news as server-sent events: once at the beginning, and anew within a moment of every change. */
export function liveStream(services: Services, signal: AbortSignal): ReadableStream<Uint8Array> {
  const encoder = new TextEncoder();
  let end = () => {};
  return new ReadableStream({
    start(controller) {
      const send = (text: string) => controller.enqueue(encoder.encode(text));
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
      signal.addEventListener("abort", () => {
        end();
        try {
          controller.close();
        } catch {
          // Closed by the other side already.
        }
      });
      send("retry: 2000\n");
      tell();
    },
    cancel: () => end(),
  });
}
