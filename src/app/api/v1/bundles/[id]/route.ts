import { err, ok } from "@/core/result";
import { BRING_BUNDLE, BUNDLE_PROGRESS } from "@/edge/contracts/bundle";
import { refusal, refused } from "@/edge/problem";
import { route } from "@/edge/route";
import { beginBundle, bundleProgress } from "@/server/bundle/bundles";

export const POST = route(BRING_BUNDLE, async ({ params: { id }, body: { parts }, actor, services }) => {
  const begun = await beginBundle(services, id, parts, actor?.name ?? "");
  return begun.ok ? begun : err(refusal(422, "Not brought in", begun.error));
});

export const GET = route(BUNDLE_PROGRESS, ({ params: { id }, services }) => {
  const progress = bundleProgress(services, id);
  return progress === undefined
    ? err(refused(404, "Nothing is here", "No such bundle is coming in."))
    : ok(progress);
});
