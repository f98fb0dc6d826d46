import { sha256 } from "@noble/hashes/sha2.js";
import { bytesToHex } from "@noble/hashes/utils.js";
import { effectiveEvents } from "@/core/job";
import { err, ok, type Problem, type Result } from "@/core/result";
import type { StoredPhoto } from "@/data";
import { cleaned } from "../pictures";
import type { Services } from "../services";

export type PhotoFailure =
  | { readonly kind: "unknown"; readonly problems: readonly Problem[] }
  | { readonly kind: "not-noted"; readonly problems: readonly Problem[] }
  | { readonly kind: "unreadable"; readonly problems: readonly Problem[] };

const problems = (path: string, message: string) => [{ path, message }];

/**
 * Stores the bytes of a photograph that the job's log speaks of. The log holds the hash of what was taken; what is
 * kept is turned upright and made anew, so that place, time and device that the camera wrote into it are gone.
 * Sending it twice does no harm.
 */
export async function storePhoto(
  { jobs }: Services,
  job: string,
  id: string,
  bytes: Uint8Array,
): Promise<Result<StoredPhoto, PhotoFailure>> {
  const stored = jobs.find(job);
  if (stored === undefined)
    return err({ kind: "unknown", problems: problems("", "There is no such job here.") });
  const kept = jobs.photo(job, id);
  if (kept !== undefined) return ok(kept);
  const noted = effectiveEvents(stored.events.map((each) => each.event)).find(
    (event) => event.kind === "photo-taken" && event.photo === id,
  );
  if (noted?.kind !== "photo-taken")
    return err({
      kind: "not-noted",
      problems: problems("", "The job's log does not speak of this photograph. Send its entry first."),
    });
  if (bytesToHex(sha256(bytes)) !== noted.sha256)
    return err({
      kind: "unreadable",
      problems: problems("", "These are not the bytes that were taken. Send the photograph again."),
    });
  const made = await cleaned(bytes);
  if (made === undefined)
    return err({
      kind: "unreadable",
      problems: problems("", "This is no picture that can be read. Send a JPEG, PNG or WebP."),
    });
  const photo: StoredPhoto = { job, id, mime: "image/jpeg", ...made };
  jobs.savePhoto(photo);
  return ok(photo);
}
