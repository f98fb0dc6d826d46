import { err, ok, type Result } from "@/core/result";
import type { Services } from "../services";
import { isNoted, type PhotoFailure, storePhoto } from "./photos";

/** How far a photograph has come. */
export interface PieceStored {
  /** Bytes of it that are here: the next piece begins there. */
  readonly have: number;
  /** All of it is here, and kept with its job. */
  readonly whole: boolean;
}

/**
 * Takes a piece of a photograph, over a line that is cut again and again. A piece that does not begin where the last one
 * ended is passed over: the answer says where to go on.
 */
export async function storePiece(
  services: Services,
  { job, photo, from, of }: { job: string; photo: string; from: number; of: number },
  piece: Uint8Array,
): Promise<Result<PieceStored, PhotoFailure>> {
  const { jobs, photoPieces } = services;
  if (jobs.photo(job, photo) !== undefined) return ok({ have: of, whole: true });
  const fault = isNoted(services, job, photo);
  if (fault !== undefined) return err(fault);
  const had = photoPieces.have(job, photo);
  if (from !== had.length) return ok({ have: had.length, whole: false });
  const have = Buffer.concat([had, piece]);
  if (have.length < of) {
    if (piece.length > 0) photoPieces.add(job, photo, from, Buffer.from(piece));
    return ok({ have: have.length, whole: false });
  }
  const stored = await storePhoto(services, job, photo, have);
  // Whole or not to be read: what came so far is of no use any more.
  photoPieces.drop(job, photo);
  return stored.ok ? ok({ have: of, whole: true }) : stored;
}
