import { createHash } from "node:crypto";
import { Readable } from "node:stream";
import { ZipFile } from "yazl";
import type { Bundle } from "@/core/formats";
import { canonical } from "@/core/job";
import type { Services } from "../services";
import { contents } from "./contents";

export const MANIFEST = "manifest.json";

export const sha256Of = (bytes: Uint8Array): string => createHash("sha256").update(bytes).digest("hex");

/** What the signature of a bundle is made over. */
export const toSign = ({ signature: _, ...manifest }: Bundle): string => canonical(manifest);

/**
 * Everything as one zip, made while it is sent: first all of it is read once for the manifest, which names each file by its
 * hash and is signed; then each file again when it is its turn.
 *
 * @param all on a connection that sees one moment, else a file may no longer be as the manifest says
 */
export function packBundle(all: Services): Readable {
  const { installation, things, now } = all;
  const files = [...contents(all)];
  const house = things.one("house", "house")?.name;
  const unsigned: Bundle = {
    format: "loftbell.bundle",
    version: 1,
    made: new Date(now()).toISOString(),
    ...(house !== undefined && { house }),
    publicKey: installation.publicKey,
    files: files.map(({ read, ...file }) => {
      const bytes = read();
      return { ...file, bytes: bytes.byteLength, sha256: sha256Of(bytes) };
    }),
    signature: "-",
  };
  const manifest: Bundle = { ...unsigned, signature: installation.sign(toSign(unsigned)) };
  const zip = new ZipFile();
  // The same data makes the same bundle.
  const mtime = new Date(manifest.made);
  zip.addBuffer(Buffer.from(`${JSON.stringify(manifest, null, 1)}\n`), MANIFEST, { mtime });
  for (const { path, holds, read } of files)
    zip.addReadStreamLazy(path, { mtime, compress: holds !== "photograph" }, (done) =>
      done(null, Readable.from([read()])),
    );
  zip.end();
  return zip.outputStream as Readable;
}
