import { BUNDLE_PARTS, type BundlePart } from "@/core/formats";
import { err, ok, type Problem, type Result } from "@/core/result";
import type { Services } from "../services";
import { bringPiece, type Compared, comparePiece } from "./bring";
import { type OpenBundle, openBundle } from "./open";
import { type Piece, piecesOf, type ReadPiece } from "./pieces";

/** What a bundle is, and how each part of it stands to what is here. */
export interface BundleLook {
  readonly made: string;
  readonly house?: string;
  /** It was packed by this installation itself. */
  readonly ours: boolean;
  readonly parts: readonly ({ readonly part: BundlePart; readonly entries: number } & Compared)[];
}

const refused = (message: string) => err([{ path: "", message }]);

async function readPiece(bundle: OpenBundle, piece: Piece): Promise<Result<ReadPiece[], Problem[]>> {
  const read: ReadPiece[] = [];
  for (const file of piece) {
    const bytes = await bundle.read(file);
    if (!bytes.ok)
      return refused(`${bytes.error} Ask for the bundle anew; nothing of this piece was brought in.`);
    read.push({ file, bytes: bytes.value });
  }
  return ok(read);
}

/** Reads all of a bundle: every file is as its signed manifest says, or it is told which one is not. */
export async function lookAtBundle(services: Services, path: string): Promise<Result<BundleLook, Problem[]>> {
  const opened = await openBundle(path);
  if (!opened.ok) return refused(opened.error);
  const bundle = opened.value;
  try {
    const { made, house, publicKey, files } = bundle.manifest;
    const parts: BundleLook["parts"][number][] = [];
    for (const part of BUNDLE_PARTS) {
      const of = files.filter((file) => file.part === part);
      if (of.length === 0) continue;
      const sum = { fresh: 0, changed: 0, alike: 0 };
      for (const piece of piecesOf(bundle.manifest, new Set([part]))) {
        const read = await readPiece(bundle, piece);
        if (!read.ok) return read;
        const compared = comparePiece(services, read.value);
        sum.fresh += compared.fresh;
        sum.changed += compared.changed;
        sum.alike += compared.alike;
      }
      parts.push({ part, entries: sum.fresh + sum.changed + sum.alike, ...sum });
    }
    const ours = publicKey === services.installation.publicKey;
    return ok({ made, ...(house !== undefined && { house }), ours, parts });
  } finally {
    bundle.close();
  }
}

/** Brings one piece of a bundle in. @returns how much of it was not so already */
export async function bringFrom(
  services: Services,
  path: string,
  piece: Piece,
  by: string,
): Promise<Result<number, Problem[]>> {
  const opened = await openBundle(path);
  if (!opened.ok) return refused(opened.error);
  try {
    const read = await readPiece(opened.value, piece);
    return read.ok ? await bringPiece(services, read.value, by) : read;
  } finally {
    opened.value.close();
  }
}
