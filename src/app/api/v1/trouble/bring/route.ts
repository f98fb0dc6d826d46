import { TROUBLE_BRING } from "@/edge/contracts/trouble";
import { workedOutElsewhere } from "@/edge/heavy";
import { route } from "@/edge/route";

export const POST = route(TROUBLE_BRING, ({ body, signal }) =>
  workedOutElsewhere("trouble-bring", body, signal),
);
