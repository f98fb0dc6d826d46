import { err, type Problem, type Result } from "@/core/result";
import { type Edited, edit } from "../book/edit";
import type { Services } from "../services";

/** What came of a case that others had, or that was watched. */
export function closeCase(
  services: Services,
  id: string,
  says: string,
  by: string,
): Result<Edited, Problem[]> {
  const of = services.things.one("case", id);
  if (of === undefined) return err([{ path: "", message: `There is no case "${id}" here any more.` }]);
  if (says.trim() === "") return err([{ path: "/says", message: "Say what came of it." }]);
  const closed = { at: new Date(services.now()).toISOString(), by, says: says.trim() };
  return edit(services, { by, what: { kind: "changed", thing: "case", ids: [`${of.valve}: ${of.says}`] } }, [
    { kind: "case", id, after: { ...of, closed } },
  ]);
}
