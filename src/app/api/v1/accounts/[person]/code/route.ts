import { MAKE_CODE } from "@/edge/contracts/people";
import { kept } from "@/edge/kept";
import { route } from "@/edge/route";
import { handCode } from "@/server/access/accounts";

export const POST = route(MAKE_CODE, async ({ params: { person }, actor, services }) =>
  kept(await handCode(services, person, actor.name)),
);
