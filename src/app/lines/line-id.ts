/** An id made of the name of a line, as ids have to be written. */
export const lineId = (name: string): string =>
  name
    .trim()
    .toLowerCase()
    .normalize("NFKD")
    .replaceAll(/[^a-z0-9]+/g, "-")
    .replaceAll(/^-+|-+$/g, "")
    .slice(0, 60);
