import { err } from "@/core/result";
import { PLAN_AGAIN } from "@/edge/contracts/house-rounds";
import { kept } from "@/edge/kept";
import { noRounds } from "@/edge/rounds";
import { route } from "@/edge/route";
import { keepAgain } from "@/server/rounds/keep-rounds";
import { againPlanned } from "@/server/rounds/planned-rounds";

export const POST = route(PLAN_AGAIN, async ({ actor, services }) => {
  const planned = await againPlanned(services);
  return planned.ok
    ? kept(await services.turns.shared(() => keepAgain(services, planned.value, actor.name)))
    : err(noRounds(planned.error));
});
