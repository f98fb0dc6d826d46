import { letIn, tryingOf } from "@/edge/coming-in";
import { SIGN_IN_BY_CODE } from "@/edge/contracts/people";
import { route } from "@/edge/route";
import { byCode } from "@/server/access/sign-in";

export const POST = route(SIGN_IN_BY_CODE, async ({ body: { shared, ...said }, request, services }) => {
  const trying = await tryingOf(request, services, shared);
  return letIn(request, services, await byCode(services, said, trying), trying);
});
