import { err, ok } from "@/core/result";
import { needsSession, notLetIn } from "@/edge/coming-in";
import { SET_PIN } from "@/edge/contracts/people";
import { route } from "@/edge/route";
import { setPin } from "@/server/access/sign-in";

export const PUT = route(SET_PIN, async ({ body: { pin }, entered, services }) => {
  const who = needsSession(entered);
  if (!who.ok) return who;
  const done = await setPin(services, who.value, pin);
  return done.ok ? ok(null) : err(notLetIn(done.error));
});
