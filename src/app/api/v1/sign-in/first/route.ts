import { letIn, tryingOf } from "@/edge/coming-in";
import { FIRST_KEEPER } from "@/edge/contracts/people";
import { route } from "@/edge/route";
import { firstKeeper } from "@/server/access/first-keeper";

export const POST = route(FIRST_KEEPER, async ({ body: { shared, ...said }, request, services }) => {
  const trying = await tryingOf(request, services, shared);
  return letIn(request, services, await firstKeeper(services, said, trying), trying);
});
