import { type PhotoFailure, storePhoto } from "@/server/jobs/photos";
import { services } from "@/server/services";
import { problem, readBytes } from "../../../../../edge";

type Context = { params: Promise<{ id: string; photo: string }> };

const STATUS: Record<PhotoFailure["kind"], readonly [number, string]> = {
  unknown: [404, "No such job"],
  "not-noted": [409, "Not in the log"],
  unreadable: [422, "Not readable"],
};

export async function PUT(request: Request, { params }: Context): Promise<Response> {
  const { id, photo } = await params;
  const body = await readBytes(request);
  if (!body.ok) return body.error;
  const stored = await storePhoto(services(), id, photo, body.value);
  if (stored.ok) {
    const { width, height, bytes } = stored.value;
    return Response.json({ photo, width, height, bytes: bytes.byteLength });
  }
  const [status, title] = STATUS[stored.error.kind];
  return problem(status, title, stored.error.problems);
}

export async function GET(_: Request, { params }: Context): Promise<Response> {
  const { id, photo } = await params;
  const stored = services().jobs.photo(id, photo);
  if (stored === undefined)
    return problem(404, "No such photograph", [
      { path: "", message: "It is not here. It may still lie on the device that took it." },
    ]);
  return new Response(new Uint8Array(stored.bytes), {
    headers: { "content-type": stored.mime, "cache-control": "private, max-age=31536000, immutable" },
  });
}
