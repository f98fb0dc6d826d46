/** Pages that work by what lies on this device alone. The service worker sends there when the server is not heard. */
export const ALONG = "/along";
export const jobHere = (id: string): string => `${ALONG}/job?id=${encodeURIComponent(id)}`;
export const recordHere = (id: string): string => `${ALONG}/record?id=${encodeURIComponent(id)}`;
/** Each is one page, whatever job it is asked for. */
export const SHELLS: readonly string[] = [ALONG, `${ALONG}/job`, `${ALONG}/record`];

export const jobPage = (id: string): string => `/jobs/${encodeURIComponent(id)}`;
export const recordPage = (id: string): string => `${jobPage(id)}/record`;

/** Under it a device remembers of which build the pages are that work without the server. */
export const BUILD = "loftbell.build";

/** Where pages lie that were taken along. */
export const PAGES_CACHE = "loftbell-pages";

/** The page of this device that stands in for one of the server's; nothing where none does. */
export function standsIn(path: string): string | undefined {
  const [, id, record] = /^\/jobs\/([^/]+)(\/record)?\/?$/.exec(path) ?? [];
  if (id === undefined) return undefined;
  const name = decodeURIComponent(id);
  return record === undefined ? jobHere(name) : recordHere(name);
}

/** How a page is found again: a shell is one page, whatever is asked of it. */
export function pageKey(address: URL): string {
  return SHELLS.includes(address.pathname) ? address.pathname : address.pathname + address.search;
}
