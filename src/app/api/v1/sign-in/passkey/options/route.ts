import { NextResponse } from "next/server";
import { ok } from "@/core/result";
import { setDevice, siteOf, tryingOf } from "@/edge/coming-in";
import { PASSKEY_TO_USE } from "@/edge/contracts/people";
import { route } from "@/edge/route";
import { passkeyToUse } from "@/server/access/passkeys";

export const POST = route(PASSKEY_TO_USE, async ({ request, services }) => {
  const { device } = await tryingOf(request, services);
  const answer = NextResponse.json(await passkeyToUse(services, device.id, siteOf(request)));
  await setDevice(request, services, answer, device.id);
  return ok(answer);
});
