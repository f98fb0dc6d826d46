import { err, ok } from "@/core/result";
import { needsSession, notLetIn, siteOf } from "@/edge/coming-in";
import { KEEP_PASSKEY } from "@/edge/contracts/people";
import { route } from "@/edge/route";
import { keepPasskey } from "@/server/access/passkeys";

export const POST = route(KEEP_PASSKEY, async ({ body, entered, request, services }) => {
  const who = needsSession(entered);
  if (!who.ok) return who;
  const done = await keepPasskey(services, who.value, { ...body, site: siteOf(request) });
  return done.ok ? ok(null) : err(notLetIn(done.error));
});
