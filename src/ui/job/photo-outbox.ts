import { sha256 } from "@noble/hashes/sha2.js";
import { bytesToHex } from "@noble/hashes/utils.js";
import { createStore, del, entries, get, set } from "idb-keyval";
import { call } from "@/edge/client";
import { PUT_PHOTO } from "@/edge/contracts/jobs";

/** A photograph on this device, until the server has it. */
interface Kept {
  readonly job: string;
  readonly photo: string;
  readonly blob: Blob;
}

const MOST_PX = 1600;
const QUALITY = 0.82;

const store = () => createStore("loftbell-photos", "waiting");
const key = (job: string, photo: string) => `${job}/${photo}`;

/** A picture file made small enough for a slow signal; drawing it anew leaves behind what the camera wrote into it. */
export async function shrink(file: File): Promise<Blob | undefined> {
  const picture = await createImageBitmap(file, { imageOrientation: "from-image" }).catch(() => undefined);
  if (picture === undefined) return undefined;
  const share = Math.min(1, MOST_PX / Math.max(picture.width, picture.height));
  const canvas = document.createElement("canvas");
  canvas.width = Math.max(1, Math.round(picture.width * share));
  canvas.height = Math.max(1, Math.round(picture.height * share));
  canvas.getContext("2d")?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  return new Promise((resolve) => canvas.toBlob((blob) => resolve(blob ?? undefined), "image/jpeg", QUALITY));
}

export const hashOf = async (blob: Blob): Promise<string> =>
  bytesToHex(sha256(new Uint8Array(await blob.arrayBuffer())));

export const keepPhoto = (job: string, photo: string, blob: Blob): Promise<void> =>
  set(key(job, photo), { job, photo, blob } satisfies Kept, store());

/** The picture on this device, when it is still here. */
export const keptPhoto = async (job: string, photo: string): Promise<Blob | undefined> =>
  (await get<Kept>(key(job, photo), store()))?.blob;

/** Sends what waits; a photograph whose entry has not arrived yet (409) stays for the next time. */
export async function sendPhotos(job: string): Promise<number> {
  const waiting = (await entries<string, Kept>(store())).filter(([, each]) => each.job === job);
  let left = waiting.length;
  for (const [name, { photo, blob }] of waiting) {
    const answer = await call(PUT_PHOTO, { params: { id: job, photo }, body: blob });
    // Stored, or refused for good: what the server cannot read it will never read.
    if (answer.ok || (answer.error.kind === "refused" && answer.error.status === 422)) {
      await del(name, store());
      left -= 1;
    }
  }
  return left;
}
