import { KEEP_CASE } from "@/edge/contracts/trouble";
import { kept } from "@/edge/kept";
import { route } from "@/edge/route";
import { keepCase } from "@/server/trouble/keep-case";

export const POST = route(KEEP_CASE, ({ body, actor, services }) =>
  kept(keepCase(services, body, actor.name)),
);
