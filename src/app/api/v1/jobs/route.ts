import { err, ok } from "@/core/result";
import { OPEN_JOB } from "@/edge/contracts/jobs";
import { refusal } from "@/edge/problem";
import { route } from "@/edge/route";
import { openJob } from "@/server/jobs/open-job";

export const POST = route(OPEN_JOB, ({ body, actor, services }) => {
  const opened = openJob(services, body, actor);
  return opened.ok
    ? ok({ id: opened.value.id })
    : err(refusal(422, "The job cannot be opened", opened.error));
});
