import { call } from "@/edge/client";
import { PUT_PHOTO, PUT_PIECE } from "@/edge/contracts/jobs";
import type { KeptPhoto } from "./kept";
import { PATIENCE_MS } from "./send-entries";
import type { DeviceStore } from "./store";

export const keepPhoto = async (
  store: DeviceStore,
  job: string,
  photo: string,
  blob: Blob,
): Promise<void> => {
  await store.photos.put({ job, photo, blob });
};

/** No entry speaks of it: the card did not take it. */
export const dropPhoto = (store: DeviceStore, job: string, photo: string): Promise<void> =>
  store.photos.delete([job, photo]);

/** The picture on this device, when it is still here. */
export const keptPhoto = async (store: DeviceStore, job: string, photo: string): Promise<Blob | undefined> =>
  (await store.photos.get([job, photo]))?.blob;

/** Bytes that go in one piece: fewer when the line was cut, more when it held. */
const PIECE = { least: 8 * 1024, first: 128 * 1024, most: 900 * 1024 };
let piece = PIECE.first;

/** What became of a photograph that was sent. */
type Sent = "done" | "later" | "no-signal";

/**
 * Sends what waits of a job, one at a time: what has arrived is not sent again when the line is cut. A photograph whose
 * entry has not arrived yet (409) stays for the next time.
 *
 * @returns whether the server was heard at all
 */
export async function sendPhotos(
  store: DeviceStore,
  job: string,
  post: typeof fetch = fetch,
): Promise<boolean> {
  const names = (await store.photos.where({ job }).primaryKeys()) as [string, string][];
  for (const name of names) {
    const kept = await store.photos.get(name);
    if (kept === undefined) continue;
    const sent = kept.blob.size > piece ? await sendInPieces(store, kept, post) : await sendWhole(kept, post);
    if (sent === "no-signal") return false;
    if (sent === "done") await store.photos.delete(name);
  }
  return true;
}

async function sendWhole({ job, photo, blob }: KeptPhoto, post: typeof fetch): Promise<Sent> {
  const signal = AbortSignal.timeout(PATIENCE_MS);
  const answer = await call(PUT_PHOTO, { params: { id: job, photo }, body: blob, signal }, post);
  if (answer.ok) return "done";
  if (answer.error.kind !== "refused") {
    piece = Math.max(PIECE.least, piece / 2);
    return "no-signal";
  }
  // What the server cannot read it will never read.
  return answer.error.status === 422 ? "done" : "later";
}

async function sendInPieces(
  store: DeviceStore,
  { job, photo, blob, sent = 0 }: KeptPhoto,
  post: typeof fetch,
): Promise<Sent> {
  let from = sent;
  for (;;) {
    const body = blob.slice(from, from + piece, blob.type);
    const answer = await call(
      PUT_PIECE,
      {
        params: { id: job, photo, from: String(from) },
        query: { of: blob.size },
        body,
        signal: AbortSignal.timeout(PATIENCE_MS),
      },
      post,
    );
    if (!answer.ok) {
      // What was put together there is not what lies here: once more, in one piece.
      if (answer.error.kind === "refused")
        return answer.error.status === 422 ? sendWhole({ job, photo, blob }, post) : "later";
      piece = Math.max(PIECE.least, piece / 2);
      return "no-signal";
    }
    if (answer.value.whole) return "done";
    piece = Math.min(PIECE.most, piece * 2);
    from = answer.value.have;
    await store.photos.update([job, photo], { sent: from });
  }
}
