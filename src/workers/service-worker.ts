/// <reference lib="webworker" />
import {
  CacheFirst,
  ExpirationPlugin,
  type PrecacheEntry,
  Serwist,
  type SerwistGlobalConfig,
  type SerwistPlugin,
} from "serwist";
import { ALONG, PAGES_CACHE, pageKey, standsIn } from "@/device/pages";

/**
 * Serves what was taken along when the server is not heard. The program itself (scripts, styles, fonts) lies on the
 * device as it was built; a page is asked of the server first, and is never kept unless somebody takes it along. What
 * routes answer is not touched: entries are kept and sent by the page, which knows what became of them.
 */
declare const self: ServiceWorkerGlobalScope &
  SerwistGlobalConfig & { __SW_MANIFEST: (PrecacheEntry | string)[] | undefined };

/** A server that has not begun to answer by then is not heard: a page that lies here is better than a white one. */
const PATIENCE_MS = 4000;

const kept = async (key: string): Promise<Response | undefined> =>
  (await caches.open(PAGES_CACHE)).match(key, { ignoreVary: true });

/** The page as it was taken along; of a job the page of this device; else what says that it is not here. */
async function fromHere(address: URL): Promise<Response> {
  const page = await kept(pageKey(address));
  if (page !== undefined) return page;
  const other = standsIn(address.pathname);
  if (other !== undefined) return Response.redirect(other, 302);
  return (await kept(ALONG)) === undefined
    ? Response.error()
    : Response.redirect(`${ALONG}?not=${encodeURIComponent(address.pathname + address.search)}`, 302);
}

async function heardOrKept(request: Request): Promise<Response> {
  const address = new URL(request.url);
  const heard = fetch(request);
  const late = new Promise<"late">((over) => setTimeout(() => over("late"), PATIENCE_MS));
  const first = await Promise.race([heard.catch(() => "gone" as const), late]);
  if (first === "gone") return fromHere(address);
  if (first !== "late" && (first.status < 502 || first.status > 504)) return first;
  // It may come yet, or say itself what is wrong with it: where nothing lies here that is what is shown.
  if ((await kept(pageKey(address))) !== undefined || standsIn(address.pathname) !== undefined)
    return fromHere(address);
  if (first !== "late") return first;
  return heard.catch(() => fromHere(address));
}

/**
 * A worker reads from the end of its address what it is made of. Of a response that lies in a cache the browser takes
 * the address it was kept under, which has no such end: the worker would not begin. One without an address leaves it.
 */
const WHOLE_ADDRESS: SerwistPlugin = {
  handlerWillRespond: async ({ request, response }) =>
    request.destination === "worker"
      ? new Response(response.body, { status: response.status, headers: response.headers })
      : response,
};

const serwist = new Serwist({
  precacheEntries: self.__SW_MANIFEST ?? [],
  precacheOptions: { cleanupOutdatedCaches: true, plugins: [WHOLE_ADDRESS] },
  // A new program waits until the page says that nothing is unsent.
  skipWaiting: false,
  clientsClaim: true,
  runtimeCaching: [
    { matcher: ({ request }) => request.mode === "navigate", handler: ({ request }) => heardOrKept(request) },
    {
      // Of a program that is about to be taken in: its pages are fetched before it is.
      matcher: ({ url, sameOrigin }) => sameOrigin && url.pathname.startsWith("/_next/static/"),
      handler: new CacheFirst({
        cacheName: "loftbell-scripts",
        plugins: [new ExpirationPlugin({ maxEntries: 400 }), WHOLE_ADDRESS],
      }),
    },
  ],
});
serwist.addEventListeners();

/** A bell that rings behind other pages leads to its page: to one that is open, or to a new one. */
self.addEventListener("notificationclick", (event) => {
  event.notification.close();
  const { href } = event.notification.data as { href: string };
  event.waitUntil(
    (async () => {
      const [open] = await self.clients.matchAll({ type: "window" });
      if (open === undefined) return self.clients.openWindow(href);
      const there = await open.navigate(href);
      return there?.focus();
    })(),
  );
});
