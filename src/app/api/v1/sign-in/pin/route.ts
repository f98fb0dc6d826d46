import { letIn, tryingOf } from "@/edge/coming-in";
import { SIGN_IN_BY_PIN } from "@/edge/contracts/people";
import { route } from "@/edge/route";
import { byPin } from "@/server/access/sign-in";

export const POST = route(SIGN_IN_BY_PIN, async ({ body, request, services }) => {
  const trying = await tryingOf(request, services, true);
  return letIn(request, services, await byPin(services, body, trying), trying);
});
