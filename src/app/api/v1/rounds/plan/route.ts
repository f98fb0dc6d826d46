import { ROUNDS_PLAN } from "@/edge/contracts/rounds";
import { workedOutElsewhere } from "@/edge/heavy";
import { route } from "@/edge/route";

export const POST = route(ROUNDS_PLAN, ({ body, signal }) => workedOutElsewhere("rounds-plan", body, signal));
