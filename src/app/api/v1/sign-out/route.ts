import { ok } from "@/core/result";
import { needsSession, signedOut } from "@/edge/coming-in";
import { SIGN_OUT } from "@/edge/contracts/people";
import { route } from "@/edge/route";
import { endSession } from "@/server/access/sessions";

export const POST = route(SIGN_OUT, ({ entered, services }) => {
  const who = needsSession(entered);
  if (!who.ok) return who;
  endSession(services, who.value.session, who.value.name);
  return ok(signedOut());
});
