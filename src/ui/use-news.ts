"use client";

import { usePathname, useRouter } from "next/navigation";
import { useEffect, useRef, useState } from "react";
import { call } from "@/edge/client";
import { BELLS, LIVE, type LiveNews } from "@/edge/contracts/here";

/** Told to an open screen when something changed on the server. */
export const NEWS = "loftbell-news";
/** How often it is asked where nothing can be sent to this browser. */
const ASK_AGAIN_MS = 4000;
/** How often a page asks that lies behind others: a bell that others set rings there, too. */
const ASK_BEHIND_MS = 30_000;
/** What one page of a device hears it tells the others. */
const CHANNEL = "loftbell-news";
/** Screens that show what others do: they are drawn anew when something changed. */
const SHOW_OTHERS: ReadonlySet<string> = new Set(["/", "/jobs", "/valves"]);

/**
 * What rings, kept fresh on an open screen: sent by the server within a second of a change, or asked for where that
 * does not go through. A screen behind others asks now and then, and hears what the one in front is told: a browser
 * keeps few lines to one server.
 */
export function useNews(first: LiveNews): LiveNews {
  const router = useRouter();
  const path = usePathname();
  const [news, setNews] = useState(first);
  const seen = useRef(first.changes);
  const here = useRef(path);
  here.current = path;

  // A page that was drawn later knows more.
  useEffect(() => {
    setNews((now) => (first.changes >= now.changes ? first : now));
    seen.current = Math.max(seen.current, first.changes);
  }, [first]);

  useEffect(() => {
    let source: EventSource | undefined;
    let asking: ReturnType<typeof setInterval> | undefined;
    const take = (fresh: LiveNews) => {
      setNews(fresh);
      const isNew = fresh.changes !== seen.current;
      seen.current = fresh.changes;
      if (!isNew) return;
      dispatchEvent(new Event(NEWS));
      if (SHOW_OTHERS.has(here.current)) router.refresh();
    };
    const others = typeof BroadcastChannel === "undefined" ? undefined : new BroadcastChannel(CHANNEL);
    const hear = (fresh: LiveNews) => {
      take(fresh);
      others?.postMessage(fresh);
    };
    const ask = async () => {
      const answer = await call(BELLS);
      if (answer.ok) hear(answer.value);
    };
    const stop = () => {
      source?.close();
      source = undefined;
      clearInterval(asking);
      asking = undefined;
    };
    const listen = () => {
      stop();
      if (document.hidden) {
        asking = setInterval(() => void ask(), ASK_BEHIND_MS);
        return;
      }
      source = new EventSource(LIVE.path);
      source.onmessage = (event) => hear(JSON.parse(event.data));
      source.onerror = () => {
        // Closed for good: something between lets no stream through.
        if (source?.readyState !== EventSource.CLOSED || asking !== undefined) return;
        asking = setInterval(() => void ask(), ASK_AGAIN_MS);
      };
    };
    if (others !== undefined)
      others.onmessage = ({ data }: MessageEvent<LiveNews>) => {
        if (document.hidden) take(data);
      };
    listen();
    document.addEventListener("visibilitychange", listen);
    return () => {
      document.removeEventListener("visibilitychange", listen);
      stop();
      others?.close();
    };
  }, [router]);
  return news;
}
