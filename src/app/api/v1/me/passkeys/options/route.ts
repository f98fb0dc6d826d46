import { ok } from "@/core/result";
import { needsSession, siteOf } from "@/edge/coming-in";
import { PASSKEY_TO_MAKE } from "@/edge/contracts/people";
import { route } from "@/edge/route";
import { passkeyToMake } from "@/server/access/passkeys";

export const POST = route(PASSKEY_TO_MAKE, async ({ entered, request, services }) => {
  const who = needsSession(entered);
  return who.ok ? ok(await passkeyToMake(services, who.value, siteOf(request))) : who;
});
