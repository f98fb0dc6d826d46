import type { JobInputs } from "@/core/formats";
import { jobOf } from "@/core/trouble";
import type { Services } from "../services";
import { troubleOf } from "./knowledge";

/** The job that a case of this valve asks for; nothing where it asks for none. */
export function jobOfCase(
  services: Services,
  id: string,
  tag: string,
):
  | (Pick<JobInputs, "reason" | "reach"> & { readonly case: string; readonly renew: readonly string[] })
  | undefined {
  const of = services.things.one("case", id);
  if (of === undefined || of.valve !== tag || of.outcome !== "job") return undefined;
  const sheet = services.library.sheet(services.register.valve(tag)?.sheet ?? "");
  const end = troubleOf(services, of.family)?.ends.find((each) => each.id === of.end);
  const job = sheet && end?.kind === "job" ? jobOf(end, sheet) : undefined;
  if (job === undefined) return undefined;
  const { reason, reach, renew = [] } = job;
  return { reason: { ...reason, says: of.says }, reach, renew, case: id };
}
