import { MOVE_WORK } from "@/edge/contracts/house-rounds";
import { onRounds } from "@/edge/rounds";
import { route } from "@/edge/route";
import { moveWork } from "@/server/rounds/keep-rounds";

export const POST = route(MOVE_WORK, ({ body, actor, services }) =>
  onRounds(services, (ground) => moveWork(services, ground, body, actor.name)),
);
