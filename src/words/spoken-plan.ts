import type { IsolationPlan } from "@/core/isolation";
import { actWhy, closureWhy, proveWords } from "./isolation";
import type { Speaker } from "./speaker";

/** An isolation plan with its reasons said, as the route answers it. */
export const spokenPlan = (speaker: Speaker, plan: IsolationPlan) => ({
  ...plan,
  closures: plan.closures.map((each) => ({ ...each, why: closureWhy(speaker, each) })),
  turned: plan.turned.map((each) => ({ ...each, why: speaker.say.isolation.turnsOff })),
  shutting: plan.shutting.map((each) => ({ ...each, why: actWhy(speaker, each.why) })),
  restoring: plan.restoring.map((each) => ({ ...each, why: actWhy(speaker, each.why) })),
  prove: plan.prove.map((each) => ({ ...each, says: proveWords(speaker, each) })),
  permits: plan.permits.map((each) => speaker.say.media.permits[each]),
});
