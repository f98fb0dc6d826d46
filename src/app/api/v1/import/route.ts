import { err } from "@/core/result";
import { IMPORT } from "@/edge/contracts/importing";
import { refusal } from "@/edge/problem";
import { route } from "@/edge/route";
import { bringIn, foretell } from "@/server/importing/bring-in";

export const POST = route(IMPORT, async ({ body: { files, apply }, actor, role, services }) => {
  const done = apply
    ? await bringIn(services, files, actor.name, role)
    : await foretell(services, files, role);
  return done.ok ? done : err(refusal(422, "Nothing was brought in", done.error));
});
