import { ROLES, type Role } from "@/core/people";
import type { Entered } from "@/server/access/sessions";

/**
 * Who came in, as the serving process found by the cookie: it writes this over whatever was sent, so that routes and
 * pages can rely on it.
 */
export const ENTERED_HEADER = "x-loftbell-entered";
/** From which address a request comes, as the serving process sees it. */
export const FROM_HEADER = "x-loftbell-from";

export const SESSION_COOKIE = "loftbell-session";
export const DEVICE_COOKIE = "loftbell-device";

export const enteredHeader = (entered: Entered): string => encodeURIComponent(JSON.stringify(entered));

/** Who came in; nobody where that is not needed, or nobody did. */
export function enteredIn(headers: Pick<Headers, "get">): Entered | undefined {
  const text = headers.get(ENTERED_HEADER);
  if (text === null) return undefined;
  const entered = JSON.parse(decodeURIComponent(text)) as Entered;
  return ROLES.includes(entered.role satisfies Role) ? entered : undefined;
}

/** One cookie of a request, as it was set. */
export function cookieIn(header: string | null | undefined, name: string): string | undefined {
  const found = (header ?? "").split(/;\s*/).find((each) => each.startsWith(`${name}=`));
  return found?.slice(name.length + 1);
}
