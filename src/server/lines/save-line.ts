import { type Line, readDocument, type Valve } from "@/core/formats";
import { checkLine, pointNames } from "@/core/line";
import { err, ok, type Problem, type Result } from "@/core/result";
import { store } from "../proof/ledger";
import { keepLine } from "../register/keep-documents";
import type { Services } from "../services";

/** Registered valves that stand at a place which this line has no more. */
export function leftWithoutPlace(valves: readonly Valve[], line: Line): Problem[] {
  const places = pointNames(line);
  return valves.flatMap((valve) =>
    valve.line !== line.id || places.has(valve.node ?? valve.tag)
      ? []
      : [
          {
            path: "/nodes",
            message: `The register has ${valve.tag} at "${valve.node ?? valve.tag}" of this line. Keep that place, or change the register first.`,
          },
        ],
  );
}

/**
 * Stores a line as edited, whole or not at all. Jobs that run keep the line they began with.
 *
 * @param known the line that was edited; nothing for a new one, whose id must be free
 */
export function saveLine(
  services: Services,
  document: unknown,
  known: string | undefined,
): Result<Line, Problem[]> {
  const read = readDocument(document);
  if (!read.ok) return read;
  if (read.value.format !== "loftbell.line")
    return err([{ path: "/format", message: "This is not a line. Save it as loftbell.line." }]);
  const line = read.value;
  const problems = checkLine(line);
  if (problems.length > 0) return err(problems);
  const { library, register } = services;
  return store(services, (): Result<Line, Problem[]> => {
    if (line.id !== known && library.line(line.id) !== undefined)
      return err([
        { path: "/id", message: `There is a line "${line.id}" already. Give this one another id.` },
      ]);
    if (known !== undefined && line.id !== known)
      return err([{ path: "/id", message: "A line keeps its id: the register names it." }]);
    const orphans = leftWithoutPlace(register.onLine(line.id), line);
    if (orphans.length > 0) return err(orphans);
    keepLine(services, line);
    return ok(line);
  });
}
