import { type Line, readDocument } from "@/core/formats";
import { checkLine } from "@/core/line";
import { err, ok, type Problem, type Result } from "@/core/result";
import { edit } from "../book/edit";
import type { Services } from "../services";

/**
 * Stores a line as edited, whole or not at all. Jobs that run keep the line they began with.
 *
 * @param known the line that was edited; nothing for a new one, whose id must be free
 */
export function saveLine(
  services: Services,
  document: unknown,
  known: string | undefined,
  by: string,
): Result<Line, Problem[]> {
  const read = readDocument(document);
  if (!read.ok) return read;
  if (read.value.format !== "loftbell.line")
    return err([{ path: "/format", message: "This is not a line. Save it as loftbell.line." }]);
  const line = read.value;
  const problems = checkLine(line);
  if (problems.length > 0) return err(problems);
  if (line.id !== known && services.library.line(line.id) !== undefined)
    return err([{ path: "/id", message: `There is a line "${line.id}" already. Give this one another id.` }]);
  if (known !== undefined && line.id !== known)
    return err([{ path: "/id", message: "A line keeps its id: the register names it." }]);
  const what = { kind: known === undefined ? "added" : "changed", thing: "line", ids: [line.id] } as const;
  const done = edit(services, { by, what }, [{ kind: "line", id: line.id, after: line }]);
  return done.ok ? ok(line) : done;
}
