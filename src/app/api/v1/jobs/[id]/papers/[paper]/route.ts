import { err } from "@/core/result";
import { JOB_PDF } from "@/edge/contracts/papers";
import { originOf } from "@/edge/origin";
import { printed, speakerFor } from "@/edge/print";
import { refused } from "@/edge/problem";
import { route } from "@/edge/route";
import { jobPaper } from "@/server/papers/job-papers";

export const GET = route(JOB_PDF, ({ params: { id, paper: kind }, query, services, request }) => {
  const made = jobPaper(services, id, kind, speakerFor(query), originOf(request));
  if (made.ok) return printed(made.value, query);
  const { kind: why, message } = made.error;
  return err(
    why === "unknown" ? refused(404, "Nothing is here", message) : refused(409, "No such paper", message),
  );
});
