import { MOVE_WORK } from "@/edge/contracts/house-rounds";
import { onRounds } from "@/edge/rounds";
import { route } from "@/edge/route";
import { moveWork, readMove } from "@/server/rounds/keep-rounds";

export const POST = route(MOVE_WORK, ({ body, actor, services }) =>
  onRounds(services, (ground) => {
    const move = readMove(body);
    return move.ok ? moveWork(services, ground, move.value, actor.name) : move;
  }),
);
