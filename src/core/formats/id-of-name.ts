/** An id made of a name, as ids have to be written; nothing where no letter of it can stand in one. */
export const idOfName = (name: string): string =>
  name
    .trim()
    .toLowerCase()
    .normalize("NFKD")
    .replaceAll(/[^a-z0-9]+/g, "-")
    .replaceAll(/^-+|-+$/g, "")
    .slice(0, 60);
