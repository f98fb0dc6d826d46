import { ok } from "@/core/result";
import { VALVE_TAGS } from "@/edge/contracts/register";
import { route } from "@/edge/route";
import { listValves } from "@/server/lists/lists";
import { MOST_AT_ONCE } from "@/server/own/valves";

export const GET = route(VALVE_TAGS, ({ query, services }) => {
  const { rows, total } = listValves(services, query, { from: 0, most: MOST_AT_ONCE });
  return ok({ tags: rows.map(({ tag }) => tag), total });
});
