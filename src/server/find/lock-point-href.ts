/** The line, with what has to be shut to open this point of it. */
export const lockPointHref = (line: string, link: string): string =>
  `/lines/${encodeURIComponent(line)}?${new URLSearchParams({ open: link })}`;

const ADDRESS = /\/lines\/([^/?#]+)\?open=([^&#]+)$/;

/** The line and the point that a label with such an address is of. */
export function readLockPoint(address: string): { readonly line: string; readonly link: string } | undefined {
  const [, line, link] = ADDRESS.exec(address) ?? [];
  if (line === undefined || link === undefined) return undefined;
  return { line: decodeURIComponent(line), link: new URLSearchParams(`open=${link}`).get("open") ?? "" };
}
