import type { Static, TSchema } from "@sinclair/typebox";
import { readAs, readJson } from "@/core/formats";
import { err, type Result } from "@/core/result";
import type { TaskResult } from "./tasks";

/** Reads the body of a question and holds it against its schema. */
export function readTask<S extends TSchema>(
  body: Uint8Array,
  schema: S,
): Result<Static<S>, Extract<TaskResult, { ok: false }>> {
  let text: string;
  try {
    text = new TextDecoder("utf-8", { fatal: true }).decode(body);
  } catch {
    return err({
      ok: false,
      status: 400,
      title: "Not readable",
      problems: [{ path: "", message: "The body is not UTF-8 text. Send it as JSON in UTF-8." }],
    });
  }
  const value = readJson(text);
  if (!value.ok) return err({ ok: false, status: 400, title: "Not readable", problems: value.error });
  const read = readAs(schema, value.value);
  return read.ok ? read : err({ ok: false, status: 422, title: "Not valid", problems: read.error });
}
