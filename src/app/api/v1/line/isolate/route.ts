import { ISOLATE } from "@/edge/contracts/engines";
import { workedOutElsewhere } from "@/edge/heavy";
import { route } from "@/edge/route";

export const POST = route(ISOLATE, ({ body, signal }) => workedOutElsewhere("isolate", body, signal));
