import { err, ok } from "@/core/result";
import { GET_JOB } from "@/edge/contracts/jobs";
import { attachment } from "@/edge/files";
import { refused } from "@/edge/problem";
import { route } from "@/edge/route";
import { exportJob } from "@/server/jobs/export-job";

export const GET = route(GET_JOB, ({ params: { id }, services }) => {
  const document = exportJob(services, id);
  return document === undefined
    ? err(refused(404, "No such job", "There is no such job here."))
    : ok(attachment(document, `${document.inputs.valve.tag}-${id}.job.json`));
});
