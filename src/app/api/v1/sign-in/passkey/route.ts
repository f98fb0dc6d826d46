import { letIn, siteOf, tryingOf } from "@/edge/coming-in";
import { SIGN_IN_BY_PASSKEY } from "@/edge/contracts/people";
import { route } from "@/edge/route";
import { byPasskey } from "@/server/access/passkeys";

export const POST = route(SIGN_IN_BY_PASSKEY, async ({ body: { answer, shared }, request, services }) => {
  const trying = await tryingOf(request, services, shared);
  return letIn(
    request,
    services,
    await byPasskey(services, { answer, site: siteOf(request) }, trying),
    trying,
  );
});
