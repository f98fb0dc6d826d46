import { call } from "@/edge/client";
import { PUT_PHOTO } from "@/edge/contracts/jobs";
import type { DeviceStore } from "./store";

export const keepPhoto = async (
  store: DeviceStore,
  job: string,
  photo: string,
  blob: Blob,
): Promise<void> => {
  await store.photos.put({ job, photo, blob });
};

/** The picture on this device, when it is still here. */
export const keptPhoto = async (store: DeviceStore, job: string, photo: string): Promise<Blob | undefined> =>
  (await store.photos.get([job, photo]))?.blob;

/**
 * Sends what waits of a job, one at a time: what has arrived is not sent again when the line is cut. A photograph whose
 * entry has not arrived yet (409) stays for the next time.
 *
 * @returns how many are left, and whether the server was heard at all
 */
export async function sendPhotos(
  store: DeviceStore,
  job: string,
  post: typeof fetch = fetch,
): Promise<{ readonly left: number; readonly heard: boolean }> {
  const names = (await store.photos.where({ job }).primaryKeys()) as [string, string][];
  let left = names.length;
  for (const name of names) {
    const kept = await store.photos.get(name);
    if (kept === undefined) continue;
    const answer = await call(PUT_PHOTO, { params: { id: job, photo: kept.photo }, body: kept.blob }, post);
    if (!answer.ok && answer.error.kind !== "refused") return { left, heard: false };
    // Stored, or refused for good: what the server cannot read it will never read.
    if (answer.ok || (answer.error.kind === "refused" && answer.error.status === 422)) {
      await store.photos.delete(name);
      left -= 1;
    }
  }
  return { left, heard: true };
}
