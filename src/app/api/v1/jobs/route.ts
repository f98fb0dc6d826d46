import { err, ok } from "@/core/result";
import { OPEN_JOB } from "@/edge/contracts/jobs";
import { refusal } from "@/edge/problem";
import { route } from "@/edge/route";
import { namesOn } from "@/server/access/sessions";
import { openAway } from "@/server/jobs/begun-away";
import { openedBefore, openJob } from "@/server/jobs/open-job";

export const POST = route(OPEN_JOB, ({ body, actor, entered, services }) => {
  const { away, ...ask } = body;
  const known = openedBefore(services, ask);
  if (!known.ok) return err(refusal(422, "The job cannot be opened", [known.error]));
  if (known.value !== undefined) return ok({ id: known.value });
  if (away === undefined) {
    const opened = openJob(services, ask, actor);
    return opened.ok
      ? ok({ id: opened.value.id })
      : err(refusal(422, "The job cannot be opened", opened.error));
  }
  const opened = openAway(services, ask, away, entered && namesOn(services, entered.device));
  if (opened.ok) return ok({ id: opened.value.inputs.id, meanwhile: opened.value.meanwhile });
  const { kind, problems } = opened.error;
  return err(refusal(kind === "refused" ? 422 : 401, "The job cannot be opened", problems));
});
