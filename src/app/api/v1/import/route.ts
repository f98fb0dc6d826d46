import { ImportRequest } from "@/server/api/contract";
import { importFiles, previewImport } from "@/server/importing/import-files";
import { services } from "@/server/services";
import { problem, readBody } from "../../edge";

export async function POST(request: Request): Promise<Response> {
  const body = await readBody(request, ImportRequest);
  if (!body.ok) return body.error;
  const { files, apply } = body.value;
  const done = (apply ? importFiles : previewImport)(services(), files);
  return done.ok ? Response.json(done.value) : problem(422, "Nothing was brought in", done.error);
}
