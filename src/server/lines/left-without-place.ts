import type { Line, Valve } from "@/core/formats";
import { pointNames } from "@/core/line";
import type { Problem } from "@/core/result";

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
