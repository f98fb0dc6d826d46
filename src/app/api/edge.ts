import type { Static, TSchema } from "@sinclair/typebox";
import { readAs } from "@/core/formats";
import { err, ok, type Problem, type Result } from "@/core/result";

/** Largest body that is read: 5 MB. */
const MOST_BYTES = 5_000_000;

/** An error answer (RFC 9457) with every problem at its path. */
export function problem(
  status: number,
  title: string,
  errors: readonly Problem[],
  more: Record<string, unknown> = {},
): Response {
  return Response.json(
    { type: "about:blank", title, status, errors, ...more },
    { status, headers: { "content-type": "application/problem+json" } },
  );
}

/** Reads a body of at most 5 MB: 413 when it is larger. */
export async function readBytes(request: Request): Promise<Result<Uint8Array, Response>> {
  const tooLarge = () =>
    err(problem(413, "Too large", [{ path: "", message: "The body is over 5 MB. Send it in parts." }]));
  if (Number(request.headers.get("content-length") ?? 0) > MOST_BYTES) return tooLarge();
  const chunks: Uint8Array[] = [];
  let size = 0;
  if (request.body !== null)
    for await (const chunk of request.body as unknown as AsyncIterable<Uint8Array>) {
      size += chunk.byteLength;
      if (size > MOST_BYTES) return tooLarge();
      chunks.push(chunk);
    }
  return ok(Buffer.concat(chunks));
}

/** Reads a JSON body of at most 5 MB: 413 when it is larger, 400 when it is not JSON. */
export async function readJson(request: Request): Promise<Result<unknown, Response>> {
  const bytes = await readBytes(request);
  if (!bytes.ok) return bytes;
  try {
    return ok(JSON.parse(new TextDecoder("utf-8", { fatal: true }).decode(bytes.value)));
  } catch {
    return err(
      problem(400, "Not readable", [
        { path: "", message: "The body is not JSON. Send an object with content-type application/json." },
      ]),
    );
  }
}

/** Reads a body and holds it against its schema: 422 with the paths when it does not fit. */
export async function readBody<S extends TSchema>(
  request: Request,
  schema: S,
): Promise<Result<Static<S>, Response>> {
  const body = await readJson(request);
  if (!body.ok) return body;
  const read = readAs(schema, body.value);
  return read.ok ? read : err(problem(422, "Not valid", read.error));
}
