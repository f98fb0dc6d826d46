import { type Entry, openPromise, type ZipFile } from "yauzl";
import { type Bundle, type BundleFile, BundleSchema, readAs, readJson } from "@/core/formats";
import { err, ok, type Result } from "@/core/result";
import { signedBy } from "../proof/installation";
import { MANIFEST, sha256Of, toSign } from "./pack";

/** One file of a bundle unfolds to no more than this. */
const MOST_BYTES = 200_000_000;

/** A bundle that lies on this machine, open to be read file by file. */
export interface OpenBundle {
  readonly manifest: Bundle;
  /** @returns what is wrong with it, where it is not as the manifest says */
  readonly read: (file: Pick<BundleFile, "path" | "sha256">) => Promise<Result<Buffer, string>>;
  readonly close: () => void;
}

const NO_BUNDLE = "This is no bundle of Loft Bell: take one out in the Loft, Everything as one file.";

export async function openBundle(path: string): Promise<Result<OpenBundle, string>> {
  let zip: ZipFile;
  try {
    zip = await openPromise(path, { autoClose: false, lazyEntries: true });
  } catch {
    return err(NO_BUNDLE);
  }
  const close = () => zip.close();
  try {
    const entries = new Map<string, Entry>();
    for await (const entry of zip.eachEntry()) entries.set(entry.fileName, entry);
    const manifest = await manifestOf(zip, entries);
    if (!manifest.ok) {
      close();
      return manifest;
    }
    const read: OpenBundle["read"] = async ({ path: name, sha256 }) => {
      const bytes = await bytesOf(zip, entries.get(name));
      if (bytes === undefined) return err(`${name} is missing in it, or cannot be read.`);
      return sha256Of(bytes) === sha256 ? ok(bytes) : err(`${name} is not as it was when it was packed.`);
    };
    return ok({ manifest: manifest.value, read, close });
  } catch {
    close();
    return err(`${NO_BUNDLE} Its list of files is broken.`);
  }
}

async function manifestOf(
  zip: ZipFile,
  entries: ReadonlyMap<string, Entry>,
): Promise<Result<Bundle, string>> {
  const bytes = await bytesOf(zip, entries.get(MANIFEST));
  const json = bytes === undefined ? undefined : readJson(bytes.toString("utf8"));
  const read = json?.ok === true ? readAs(BundleSchema, json.value) : undefined;
  if (read?.ok !== true) return err(NO_BUNDLE);
  const manifest = read.value;
  if (!signedBy(manifest.publicKey, toSign(manifest), manifest.signature))
    return err(
      "The list of what is in it was changed after it was signed. Ask for it anew; nothing was brought in.",
    );
  const listed = new Set(manifest.files.map((file) => file.path));
  const other = [...entries.keys()].find((name) => name !== MANIFEST && !listed.has(name));
  return other === undefined
    ? ok(manifest)
    : err(`${other} was put into it afterwards. Ask for it anew; nothing was brought in.`);
}

async function bytesOf(zip: ZipFile, entry: Entry | undefined): Promise<Buffer | undefined> {
  if (entry === undefined || entry.uncompressedSize > MOST_BYTES) return undefined;
  try {
    const pieces: Buffer[] = [];
    for await (const piece of await zip.openReadStreamPromise(entry)) pieces.push(piece as Buffer);
    return Buffer.concat(pieces);
  } catch {
    return undefined;
  }
}
