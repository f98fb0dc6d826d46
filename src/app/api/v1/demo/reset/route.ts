import { err, ok } from "@/core/result";
import { RESET_DEMO } from "@/edge/contracts/here";
import { refusal, refused } from "@/edge/problem";
import { route } from "@/edge/route";
import { storedElsewhere } from "@/server/heavy/store-elsewhere";
import { isDemo } from "@/server/services";

export const POST = route(RESET_DEMO, async ({ services }) => {
  if (!isDemo()) return err(refused(409, "Not the demo", "This is not the demo: nothing was changed."));
  const done = await storedElsewhere<null>(services, { task: "reset-demo" });
  return done.ok ? ok(null) : err(refusal(409, "Not begun anew", done.error));
});
