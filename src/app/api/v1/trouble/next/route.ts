import { TROUBLE_NEXT } from "@/edge/contracts/trouble";
import { workedOutElsewhere } from "@/edge/heavy";
import { route } from "@/edge/route";

export const POST = route(TROUBLE_NEXT, ({ body, signal }) =>
  workedOutElsewhere("trouble-next", body, signal),
);
