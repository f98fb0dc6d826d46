import { err, ok } from "@/core/result";
import { RESET_DEMO } from "@/edge/contracts/here";
import { refused } from "@/edge/problem";
import { route } from "@/edge/route";
import { resetDemo } from "@/server/reset-demo";
import { isDemo } from "@/server/services";

export const POST = route(RESET_DEMO, () => {
  if (!isDemo()) return err(refused(409, "Not the demo", "This is not the demo: nothing was changed."));
  resetDemo();
  return ok(null);
});
