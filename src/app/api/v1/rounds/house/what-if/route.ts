import { WHAT_IF } from "@/edge/contracts/house-rounds";
import { onRounds } from "@/edge/rounds";
import { route } from "@/edge/route";
import { whatIf } from "@/server/rounds/what-if";

export const POST = route(WHAT_IF, ({ body, services }) =>
  onRounds(services, (ground) => whatIf(services, ground, body)),
);
