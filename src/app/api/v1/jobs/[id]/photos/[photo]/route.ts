import { err, ok } from "@/core/result";
import { GET_PHOTO, PUT_PHOTO } from "@/edge/contracts/jobs";
import { refusal, refused } from "@/edge/problem";
import { route } from "@/edge/route";
import { PHOTO_STATUS, storePhoto } from "@/server/jobs/photos";

export const PUT = route(PUT_PHOTO, async ({ params: { id, photo }, body, services }) => {
  const stored = await storePhoto(services, id, photo, body);
  if (stored.ok) {
    const { width, height, bytes } = stored.value;
    return ok({ photo, width, height, bytes: bytes.byteLength });
  }
  const [status, title] = PHOTO_STATUS[stored.error.kind];
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
