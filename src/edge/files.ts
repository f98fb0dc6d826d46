/** A name that every file system takes. */
const safe = (name: string) => name.replaceAll(/[^A-Za-z0-9._-]/g, "_");

/** A document as a file to be kept. */
export const attachment = (document: unknown, name: string): Response =>
  Response.json(document, { headers: { "content-disposition": `attachment; filename="${safe(name)}"` } });
