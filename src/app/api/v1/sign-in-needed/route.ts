import { NextResponse } from "next/server";
import { err, ok } from "@/core/result";
import { setSession, tryingOf } from "@/edge/coming-in";
import { SWITCH_SIGN_IN } from "@/edge/contracts/people";
import { kept } from "@/edge/kept";
import { route } from "@/edge/route";
import { switchOff, switchOn } from "@/server/access/first-keeper";

export const PUT = route(SWITCH_SIGN_IN, async ({ body: { on, password }, actor, request, services }) => {
  if (!on) return kept(switchOff(services, actor.name));
  const { device } = await tryingOf(request, services);
  const done = kept(await switchOn(services, actor, { password, device }));
  if (!done.ok) return err(done.error);
  const answer = new NextResponse(null, { status: 204 });
  if (done.value !== undefined) await setSession(request, services, answer, { session: done.value, device });
  return ok(answer);
});
