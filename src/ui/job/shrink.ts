import { sha256 } from "@noble/hashes/sha2.js";
import { bytesToHex } from "@noble/hashes/utils.js";

const MOST_PX = 1600;
const QUALITY = 0.82;

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
