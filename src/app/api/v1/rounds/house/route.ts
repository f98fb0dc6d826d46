import { err } from "@/core/result";
import { HOUSE_ROUNDS } from "@/edge/contracts/house-rounds";
import { noRounds } from "@/edge/rounds";
import { route } from "@/edge/route";
import { plannedRounds } from "@/server/rounds/planned-rounds";

export const dynamic = "force-dynamic";

export const GET = route(HOUSE_ROUNDS, async ({ services }) => {
  const found = await plannedRounds(services);
  return found.ok ? found : err(noRounds(found.error));
});
