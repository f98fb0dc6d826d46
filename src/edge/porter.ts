import type { IncomingMessage } from "node:http";
import { enteredByFeed } from "@/server/access/feed";
import { signInNeeded } from "@/server/access/needed";
import { unsealed } from "@/server/access/seals";
import { type Entered, enteredBy } from "@/server/access/sessions";
import type { Services } from "@/server/services";
import { ROUNDS_CALENDAR } from "./contracts/house-rounds";
import { CALENDAR } from "./contracts/taking-out";
import { cookieIn, ENTERED_HEADER, enteredHeader, FROM_HEADER, SESSION_COOKIE } from "./entered";
import { isOnThisMachine } from "./guard";

/** The server tries its own routes when it starts: as nobody of the crew, so that nothing can come of it. */
export const OURSELVES_HEADER = "x-loftbell-ourselves";
const NOBODY: Entered = { session: "", person: "", name: "", role: "technician", device: "" };

/** What lies on a device and serves pages there without signal. */
export const SERVICE_WORKER = "/service-worker.js";
/** Where one comes to who is not in yet. */
export const SIGN_IN_PAGE = "/sign-in";

/** What is there for everybody: the way in, and what it is drawn with. */
const isPublic = (path: string): boolean => path.startsWith("/_next/") || PUBLIC.has(path);
const PUBLIC: ReadonlySet<string> = new Set([
  SIGN_IN_PAGE,
  SERVICE_WORKER,
  "/icon.svg",
  "/favicon.ico",
  // A browser installs it before anybody has signed in.
  "/manifest.webmanifest",
  "/icon-192.png",
  "/icon-512.png",
  "/icon-maskable.png",
]);

/** Answers of this kind are the routes' own business: each says itself who may. */
const isRoute = (path: string): boolean => path.startsWith("/api/");

/** Where a request comes from; a server in front of this one on the same machine says it for others. */
function addressOf(request: IncomingMessage): string {
  const near = request.socket.remoteAddress;
  const said = request.headers["x-forwarded-for"];
  const last = (Array.isArray(said) ? said.at(-1) : said)?.split(",").at(-1)?.trim();
  return isOnThisMachine(near) && last ? last : (near ?? "");
}

/**
 * Finds who is at the door and writes it on the request, over whatever was written there.
 *
 * @param ourselves by which the server knows itself
 * @returns where to send somebody who has to sign in first; nothing when the request goes on
 */
export async function atTheDoor(
  request: IncomingMessage,
  services: Services,
  ourselves: string,
): Promise<string | undefined> {
  const { headers, url = "/" } = request;
  delete headers[ENTERED_HEADER];
  headers[FROM_HEADER] = addressOf(request);
  if (!signInNeeded(services)) return undefined;
  const path = url.split("?")[0]!;
  const entered =
    headers[OURSELVES_HEADER] === ourselves
      ? NOBODY
      : path.startsWith("/_next/")
        ? undefined
        : ((await cameIn(services, headers.cookie)) ?? (await byCalendar(services, url)));
  if (entered !== undefined) headers[ENTERED_HEADER] = enteredHeader(entered);
  if (entered !== undefined || isPublic(path) || isRoute(path)) return undefined;
  return path === "/" ? SIGN_IN_PAGE : `${SIGN_IN_PAGE}?to=${encodeURIComponent(url)}`;
}

/** A calendar that was subscribed to shows a key in its address. */
async function byCalendar(services: Services, url: string): Promise<Entered | undefined> {
  const { pathname, searchParams } = new URL(url, "http://here");
  const key = searchParams.get("key");
  const subscribed = pathname === CALENDAR.path || pathname === ROUNDS_CALENDAR.path;
  return subscribed && key !== null ? enteredByFeed(services, key) : undefined;
}

async function cameIn(services: Services, cookies: string | undefined): Promise<Entered | undefined> {
  const seal = cookieIn(cookies, SESSION_COOKIE);
  if (seal === undefined) return undefined;
  const { session } = await unsealed<{ session: string }>(services, decodeURIComponent(seal));
  return session === undefined ? undefined : enteredBy(services, session);
}
