import type { Line } from "../formats";
import { type Positions, type ThreeWayNode, threeWays } from "../line";
import type { IsolationDemand } from "./plan";

/** Ways of standing that are tried at the most. */
const MOST_WAYS = 243;

/**
 * The ways in which a line's three-way valves can stand, the ordinary one first. `whole` is false when there are more
 * than are tried: then those furthest down the list stay as they are.
 */
export function turnings(
  line: Line,
  demand: IsolationDemand,
): { readonly choices: readonly Positions[]; readonly whole: boolean } {
  let choices: Map<string, string>[] = [new Map()];
  let whole = true;
  for (const node of threeWays(line)) {
    const stands = standsOf(node, demand);
    if (choices.length * stands.length > MOST_WAYS) {
      whole = false;
      continue;
    }
    choices = choices.flatMap((choice) =>
      stands.map((position) => new Map([...choice, [node.id, position]])),
    );
  }
  return { choices, whole };
}

function standsOf(node: ThreeWayNode, { avoid = [], passing = [] }: IsolationDemand): string[] {
  const { positions, normally, operable } = node.threeWay;
  const fixed = !operable || avoid.includes(node.id) || passing.includes(node.id);
  return fixed ? [normally] : [normally, ...positions.map((each) => each.id).filter((id) => id !== normally)];
}
