import { TAKE_LEAVE } from "@/edge/contracts/own";
import { kept } from "@/edge/kept";
import { route } from "@/edge/route";
import { takeLeave } from "@/server/own/take-leave";

export const POST = route(TAKE_LEAVE, ({ params: { id }, body, actor, services }) =>
  kept(takeLeave(services, id, body.text, actor.name)),
);
