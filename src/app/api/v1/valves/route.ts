import { err, ok } from "@/core/result";
import { REGISTER_VALVE } from "@/edge/contracts/register";
import { refusal } from "@/edge/problem";
import { route } from "@/edge/route";
import { registerFromLibrary } from "@/server/importing/sheet-library";

export const POST = route(REGISTER_VALVE, ({ body, services }) => {
  const done = registerFromLibrary(services, body);
  return done.ok ? ok({ tag: done.value.tag }) : err(refusal(422, "Not registered", done.error));
});
