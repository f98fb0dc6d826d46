import { ROUNDS_DAY } from "@/edge/contracts/rounds";
import { workedOutElsewhere } from "@/edge/heavy";
import { route } from "@/edge/route";

export const POST = route(ROUNDS_DAY, ({ body, signal }) => workedOutElsewhere("rounds-day", body, signal));
