/** A name that every file system takes. */
const safe = (name: string) => name.replaceAll(/[^A-Za-z0-9._-]/g, "_");

/** A PDF, shown where the browser can. */
export const pdfAnswer = (bytes: Uint8Array, name: string): Response =>
  new Response(bytes as Uint8Array<ArrayBuffer>, {
    headers: {
      "content-type": "application/pdf",
      "content-disposition": `inline; filename="${safe(name)}.pdf"`,
      // A record says how far it can be relied on now.
      "cache-control": "no-store",
    },
  });

/** A document as a file to be kept. */
export const attachment = (document: unknown, name: string): Response =>
  Response.json(document, { headers: { "content-disposition": `attachment; filename="${safe(name)}"` } });
