import { CLOSE_CASE } from "@/edge/contracts/trouble";
import { kept } from "@/edge/kept";
import { route } from "@/edge/route";
import { closeCase } from "@/server/trouble/close-case";

export const POST = route(CLOSE_CASE, ({ params: { id }, body: { says }, actor, services }) =>
  kept(closeCase(services, id, says, actor.name)),
);
