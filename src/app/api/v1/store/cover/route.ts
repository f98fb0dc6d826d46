import { COVER } from "@/edge/contracts/engines";
import { workedOutElsewhere } from "@/edge/heavy";
import { route } from "@/edge/route";

export const POST = route(COVER, ({ body, signal }) => workedOutElsewhere("cover", body, signal));
