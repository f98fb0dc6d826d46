import { letIn, tryingOf } from "@/edge/coming-in";
import { SIGN_IN } from "@/edge/contracts/people";
import { route } from "@/edge/route";
import { byPassword } from "@/server/access/sign-in";

export const POST = route(SIGN_IN, async ({ body: { shared, ...said }, request, services }) => {
  const trying = await tryingOf(request, services, shared);
  return letIn(request, services, await byPassword(services, said, trying), trying);
});
