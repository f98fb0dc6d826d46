import { PLAN } from "@/edge/contracts/engines";
import { workedOutElsewhere } from "@/edge/heavy";
import { route } from "@/edge/route";

export const POST = route(PLAN, ({ body, signal }) => workedOutElsewhere("plan-strip", body, signal));
