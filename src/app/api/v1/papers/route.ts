import { ADD_PAPER } from "@/edge/contracts/own";
import { kept } from "@/edge/kept";
import { route } from "@/edge/route";
import { addPaper } from "@/server/own/papers";

export const POST = route(ADD_PAPER, async ({ query, body, actor, services }) =>
  kept(await addPaper(services, query, body, actor.name)),
);
