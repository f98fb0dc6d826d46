import { err } from "@/core/result";
import { IMPORT } from "@/edge/contracts/importing";
import { refusal } from "@/edge/problem";
import { route } from "@/edge/route";
import { importFiles, previewImport } from "@/server/importing/import-files";

export const POST = route(IMPORT, ({ body: { files, apply }, actor, services }) => {
  const done = apply ? importFiles(services, files, actor.name) : previewImport(services, files);
  return done.ok ? done : err(refusal(422, "Nothing was brought in", done.error));
});
