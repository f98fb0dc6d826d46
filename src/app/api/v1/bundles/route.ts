import { err } from "@/core/result";
import { LOOK_AT_BUNDLE } from "@/edge/contracts/bundle";
import { refusal } from "@/edge/problem";
import { route } from "@/edge/route";
import { receiveBundle } from "@/server/bundle/bundles";

export const POST = route(LOOK_AT_BUNDLE, async ({ body, services }) => {
  const look = await receiveBundle(services, body);
  return look.ok ? look : err(refusal(422, "No bundle that can be brought in", look.error));
});
