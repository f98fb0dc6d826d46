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

/** How each is answered, and under which title. */
export const PHOTO_STATUS: Readonly<Record<PhotoFailure["kind"], readonly [number, string]>> = {
  unknown: [404, "No such job"],
  "not-noted": [409, "Not in the log"],
  unreadable: [422, "Not readable"],
};

/** The hash of a photograph, as the job's log speaks of it. */
function notedAs({ jobs }: Pick<Services, "jobs">, job: string, id: string): Result<string, PhotoFailure> {
  const stored = jobs.find(job);
  if (stored === undefined)
    return err({ kind: "unknown", problems: problems("", "There is no such job here.") });
  const noted = effectiveEvents(stored.events.map((each) => each.event)).find(
    (event) => event.kind === "photo-taken" && event.photo === id,
  );
  return noted?.kind === "photo-taken"
    ? ok(noted.sha256)
    : err({
        kind: "not-noted",
        problems: problems("", "The job's log does not speak of this photograph. Send its entry first."),
      });
}

/** Why no photograph of this name is taken. */
export function isNoted(services: Pick<Services, "jobs">, job: string, id: string): PhotoFailure | undefined {
  const noted = notedAs(services, job, id);
  return noted.ok ? undefined : noted.error;
}

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
  const kept = jobs.photo(job, id);
  if (kept !== undefined) return ok(kept);
  const noted = notedAs({ jobs }, job, id);
  if (!noted.ok) return noted;
  if (bytesToHex(sha256(bytes)) !== noted.value)
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
