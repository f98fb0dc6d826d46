import { readJson } from "@/core/formats";
import { err, ok, type Result } from "@/core/result";
import { type Refusal, refusal, refused } from "./problem";

/** Reads a body of at most so many bytes: 413 when it is larger. */
export async function readBytes(request: Request, most: number): Promise<Result<Uint8Array, Refusal>> {
  const tooLarge = () =>
    err(refused(413, "Too large", `The body is over ${Math.round(most / 1_000_000)} MB. Send it in parts.`));
  if (Number(request.headers.get("content-length") ?? 0) > most) return tooLarge();
  const chunks: Uint8Array[] = [];
  let size = 0;
  if (request.body !== null)
    for await (const chunk of request.body as unknown as AsyncIterable<Uint8Array>) {
      size += chunk.byteLength;
      if (size > most) return tooLarge();
      chunks.push(chunk);
    }
  return ok(Buffer.concat(chunks));
}

const mediaType = (request: Request): string =>
  (request.headers.get("content-type") ?? "").split(";")[0]!.trim().toLowerCase();

/** A form of a foreign page can send text and files, but not these types without asking first. */
export function refuseType(request: Request, taken: readonly string[]): Refusal | undefined {
  return taken.includes(mediaType(request))
    ? undefined
    : refused(415, "Another type is expected", `Send it with content-type ${taken.join(" or ")}.`);
}

/** Reads a JSON body: 413 when it is too large, 400 when it is not JSON. */
export async function readJsonBody(request: Request, most: number): Promise<Result<unknown, Refusal>> {
  const bytes = await readBytes(request, most);
  if (!bytes.ok) return bytes;
  let text: string;
  try {
    text = new TextDecoder("utf-8", { fatal: true }).decode(bytes.value);
  } catch {
    return err(refused(400, "Not readable", "The body is not UTF-8 text. Send it as JSON in UTF-8."));
  }
  const value = readJson(text);
  return value.ok ? value : err(refusal(400, "Not readable", value.error));
}
