import type { Line } from "../formats";
import { neighbourhood } from "../line";
import { planIsolation } from "./isolation-plan";
import type { IsolationDemand } from "./plan";

/** A line up to this many nodes is carried whole. */
const CARRIED_WHOLE = 2000;
/** Neighbourhoods that are tried, in nodes; one that is too small to tell who loses service is not taken. */
const TRIED = [400, 1600, 6400] as const;

/**
 * As much of a line as a job has to carry: the smallest neighbourhood of the place whose plan shuts the same valves and
 * takes service from the same consumers as the plan on the whole line.
 */
export function enoughOfLine(line: Line, demand: IsolationDemand): Line {
  const [at] = demand.open;
  if (line.nodes.length <= CARRIED_WHOLE || at === undefined) return line;
  const whole = outcome(line, demand);
  for (const most of TRIED) {
    const part = neighbourhood(line, at, most);
    if (outcome(part, demand) === whole) return part;
  }
  return line;
}

function outcome(line: Line, demand: IsolationDemand): string {
  const plan = planIsolation(line, demand);
  if (!plan.ok) return JSON.stringify(plan.error.kind);
  const { closures, lost, section } = plan.value;
  return JSON.stringify([
    closures.map((each) => each.link).sort(),
    lost.map((each) => each.node).sort(),
    section.nodes.length,
  ]);
}
