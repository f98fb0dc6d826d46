import { err, ok } from "@/core/result";
import { addressOf, needsSession, notLetIn } from "@/edge/coming-in";
import { CHANGE_PASSWORD } from "@/edge/contracts/people";
import { route } from "@/edge/route";
import { changePassword } from "@/server/access/sign-in";

export const PUT = route(CHANGE_PASSWORD, async ({ body, entered, request, services }) => {
  const who = needsSession(entered);
  if (!who.ok) return who;
  const done = await changePassword(services, who.value, { ...body, address: addressOf(request) });
  return done.ok ? ok(null) : err(notLetIn(done.error));
});
