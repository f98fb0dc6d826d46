import { watched } from "../proof/watch";
import type { Services } from "../services";
import type { Told } from "./told";

/** It goes with every page; where more is in doubt than this, nothing there is relied on. */
const MOST_DOUBTS = 500;

/** What a drawing process has to know now. */
export function tell(services: Services): Told {
  const { live, library, register } = services;
  const { doubts, whole } = watched(services);
  return {
    changes: live.changes,
    era: `${library.era()} ${register.era()}`,
    watched: { doubts: doubts.slice(0, MOST_DOUBTS), whole },
    ...(live.fault !== undefined && { fault: live.fault }),
  };
}
