import { type Line, readDocument, type Valve } from "@/core/formats";
import { checkLine, holdsPlace } from "@/core/line";
import { err, ok, type Problem, type Result } from "@/core/result";
import type { Services } from "../services";

/** Registered valves that stand at a place which this line has no more. */
export function leftWithoutPlace(valves: readonly Valve[], line: Line): Problem[] {
  return valves.flatMap((valve) =>
    valve.line !== line.id || holdsPlace(line, valve.node ?? valve.tag)
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
  { db, library }: Services,
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
  return db.transaction(
    (): Result<Line, Problem[]> => {
      if (line.id !== known && library.line(line.id) !== undefined)
        return err([
          { path: "/id", message: `There is a line "${line.id}" already. Give this one another id.` },
        ]);
      if (known !== undefined && line.id !== known)
        return err([{ path: "/id", message: "A line keeps its id: the register names it." }]);
      const orphans = leftWithoutPlace(library.valves(), line);
      if (orphans.length > 0) return err(orphans);
      library.saveLine(line);
      return ok(line);
    },
    { behavior: "immediate" },
  );
}
