import { err, ok } from "@/core/result";
import { GET_PHOTO, PUT_PHOTO } from "@/edge/contracts/jobs";
import { refusal, refused } from "@/edge/problem";
import { route } from "@/edge/route";
import { type PhotoFailure, storePhoto } from "@/server/jobs/photos";

const STATUS: Record<PhotoFailure["kind"], readonly [number, string]> = {
  unknown: [404, "No such job"],
  "not-noted": [409, "Not in the log"],
  unreadable: [422, "Not readable"],
};

export const PUT = route(PUT_PHOTO, async ({ params: { id, photo }, body, services }) => {
  const stored = await storePhoto(services, id, photo, body);
  if (stored.ok) {
    const { width, height, bytes } = stored.value;
    return ok({ photo, width, height, bytes: bytes.byteLength });
  }
  const [status, title] = STATUS[stored.error.kind];
  return err(refusal(status, title, stored.error.problems));
});

export const GET = route(GET_PHOTO, ({ params: { id, photo }, services }) => {
  const stored = services.jobs.photo(id, photo);
  return stored === undefined
    ? err(refused(404, "No such photograph", "It is not here. It may still lie on the device that took it."))
    : ok(
        new Response(new Uint8Array(stored.bytes), {
          headers: { "content-type": stored.mime, "cache-control": "private, max-age=31536000, immutable" },
        }),
      );
});
