import { err } from "@/core/result";
import { ISOLATION_PDF } from "@/edge/contracts/papers";
import { originOf } from "@/edge/origin";
import { printed, speakerFor } from "@/edge/print";
import { refused } from "@/edge/problem";
import { route } from "@/edge/route";
import { isolationPaper } from "@/server/papers/isolation-paper";

export const GET = route(ISOLATION_PDF, ({ params: { id }, query, services, request }) => {
  const { open, avoid, passing, keep, pumpedOut } = query;
  const demand = {
    open,
    avoid: avoid ?? [],
    passing: passing ?? [],
    keep: keep ?? [],
    pumpedOut: pumpedOut ?? [],
  };
  const paper = isolationPaper(services, id, demand, speakerFor(query), originOf(request));
  if (paper.ok) return printed(paper.value, query);
  const { kind, message } = paper.error;
  return err(
    kind === "unknown"
      ? refused(404, "No such line", message)
      : refused(409, "It cannot be isolated", message),
  );
});
