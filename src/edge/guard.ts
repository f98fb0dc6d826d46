import { type Refusal, refused } from "./problem";

/** What is known of a request before anything of it is read. */
export interface Arriving {
  readonly method: string;
  readonly url: string;
  readonly headers: Readonly<Record<string, string | readonly string[] | undefined>>;
}

const CHANGES_NOTHING: ReadonlySet<string> = new Set(["GET", "HEAD", "OPTIONS"]);

const one = ({ headers }: Arriving, name: string): string | undefined => {
  const value = headers[name];
  return typeof value === "string" ? value : value?.[0];
};

/** The name a browser asked for, without what belongs to the address only. */
const plainHost = (host: string): string => host.trim().toLowerCase();

/**
 * Why a request is not let in; nothing when it is. A name that is not ours is one that somebody else turned on this
 * machine (DNS rebinding); a change asked for by a page of somebody else's is no change that anybody here wanted.
 *
 * @param hosts every `host:port` under which this server is known, in small letters
 */
export function refuseArriving(arriving: Arriving, hosts: ReadonlySet<string>): Refusal | undefined {
  const host = plainHost(one(arriving, "host") ?? "");
  if (!hosts.has(host))
    return refused(
      421,
      "Another host",
      `This server is not known as "${host.slice(0, 80)}". Use one of its own addresses; LOFTBELL_HOSTS adds one.`,
    );
  if (!readable(arriving.url))
    return refused(400, "Not readable", "The address has a % that stands for nothing. Correct it.");
  if (CHANGES_NOTHING.has(arriving.method)) return undefined;
  if (one(arriving, "next-action") !== undefined)
    return refused(404, "Nothing is here", "Changes go through the routes: see /api/v1/openapi.json.");
  return fromElsewhere(arriving, host)
    ? refused(403, "From another page", "Changes are taken from Loft Bell's own pages only.")
    : undefined;
}

function fromElsewhere(arriving: Arriving, host: string): boolean {
  const origin = one(arriving, "origin");
  if (origin !== undefined) {
    const [, named] = /^https?:\/\/(.+)$/.exec(origin.trim().toLowerCase()) ?? [];
    return named !== host;
  }
  const site = one(arriving, "sec-fetch-site");
  // A program that is no browser sends neither.
  return site !== undefined && site !== "same-origin" && site !== "none";
}

function readable(url: string): boolean {
  try {
    decodeURIComponent(url.split("?")[0]!);
    return !url.includes("\0");
  } catch {
    return false;
  }
}

/** Where gateways of instruments may be: on the device itself, whatever its port. */
const GATEWAYS = "ws://localhost:* ws://127.0.0.1:*";
const GATEWAY = /^wss?:\/\/[a-z0-9.-]+(:(\d{1,5}|\*))?$/i;

/** @param more addresses as LOFTBELL_GATEWAYS gives them; what is none is left out */
export const gatewaysOf = (more: string): string =>
  [GATEWAYS, ...more.split(",").map((each) => each.trim())]
    .filter((each) => each === GATEWAYS || GATEWAY.test(each))
    .join(" ");

/** What a page may load and do, by a nonce made for this answer alone. */
export const contentPolicy = (nonce: string, developing: boolean, gateways: string = GATEWAYS): string =>
  [
    "default-src 'self'",
    // The reader of labels is WebAssembly, and ships with the app: it is compiled, no text is run as a program.
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic' 'wasm-unsafe-eval'${developing ? " 'unsafe-eval'" : ""}`,
    // Drawings are placed by style attributes, which carry no nonce.
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' blob: data:",
    "font-src 'self'",
    // Instruments are reached through a gateway on this machine, or one the installation names.
    `connect-src 'self' ${gateways}${developing ? " ws:" : ""}`,
    "worker-src 'self' blob:",
    "frame-ancestors 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "object-src 'none'",
  ].join("; ");

/** Headers of every answer. */
export const ALWAYS: Readonly<Record<string, string>> = {
  "x-content-type-options": "nosniff",
  "x-frame-options": "DENY",
  "referrer-policy": "same-origin",
  "cross-origin-opener-policy": "same-origin",
  "cross-origin-resource-policy": "same-origin",
  "permissions-policy": "camera=(self), microphone=(), geolocation=(self), serial=(self)",
};

const LOOPBACK: readonly string[] = ["127.0.0.1", "localhost", "[::1]"];
const EVERYWHERE: ReadonlySet<string> = new Set(["0.0.0.0", "::", "[::]"]);

export const isLoopback = (host: string): boolean => LOOPBACK.includes(host) || host === "::1";

/** Whether somebody asks from this machine itself. */
export const isOnThisMachine = (address: string | undefined): boolean =>
  address === "::1" || /^(::ffff:)?127\./.test(address ?? "");

/**
 * Every name this server answers to.
 *
 * @param addresses this machine's own, for a server that listens on all of them
 * @param more names an installation is known by besides, as LOFTBELL_HOSTS gives them
 */
export function ownHosts(
  host: string,
  port: number,
  addresses: readonly string[],
  more: readonly string[] = [],
): ReadonlySet<string> {
  const bracketed = (name: string) => (name.includes(":") && !name.startsWith("[") ? `[${name}]` : name);
  const names = [...LOOPBACK, ...(EVERYWHERE.has(host) ? addresses : [host])].map(bracketed);
  const usual = port === 80 ? names : [];
  return new Set(
    [...names.map((name) => `${name}:${port}`), ...usual, ...more.map((name) => name.trim())]
      .filter((name) => name !== "")
      .map((name) => name.toLowerCase()),
  );
}
