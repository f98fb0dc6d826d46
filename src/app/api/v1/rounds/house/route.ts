import type { HouseRounds } from "@/core/due-work";
import { err, ok } from "@/core/result";
import { HOUSE_ROUNDS } from "@/edge/contracts/rounds";
import { refusal } from "@/edge/problem";
import { route } from "@/edge/route";
import { plannedRounds } from "@/server/rounds/planned-rounds";

export const dynamic = "force-dynamic";

export const GET = route(HOUSE_ROUNDS, async ({ services }) => {
  const found = await plannedRounds(services);
  return found.ok
    ? ok(found.value as HouseRounds)
    : err(refusal(found.status, found.title, found.problems, found.more));
});
