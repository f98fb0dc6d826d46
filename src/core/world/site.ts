import { type Assembly, assembly, holdsBack, withSafeWork } from "../build";
import type { Line, Sheet } from "../formats";
import { equipmentAt, mediumOf, network, sharedHeader, standing, usuallyFed } from "../line";

/** What does not change while the work is done: the line as it is built, the valve, where it stands. */
export interface Site {
  readonly sheet: Sheet;
  readonly assembly: Assembly;
  readonly line?: Line;
  /** Nodes that are open to a person once the valve is: its own, and those of the same equipment. */
  readonly zone: readonly string[];
  /** Parts that pressure stands behind. */
  readonly holding: ReadonlySet<string>;
  /** Consumers that are fed on an ordinary day. */
  readonly served: readonly string[];
  /** The header that others blow into, too. */
  readonly header?: string;
  /** Valves and stems that another job holds, with whose they are and where it turned them. */
  readonly others: HeldByOthers;
}

/** What other jobs keep shut, turned or open, by link or stem. */
export type HeldByOthers = ReadonlyMap<
  string,
  { readonly job: string; readonly position?: string; readonly open?: true }
>;

export interface Place {
  readonly sheet: Sheet;
  readonly build?: string;
  /** As it stands on an ordinary day. */
  readonly line?: Line;
  /** The node, or the tag, of the valve. */
  readonly at: string;
  readonly held?: HeldByOthers;
}

export function siteOf({ sheet, build, line, at, held = new Map() }: Place): Site {
  const worked = withSafeWork(sheet);
  const built = assembly(worked, build);
  const header = line === undefined ? undefined : sharedHeader(line, at)?.header;
  return {
    sheet: worked,
    assembly: built,
    ...(line !== undefined && { line }),
    zone: line === undefined ? [] : equipmentAt(line, at),
    holding: new Set([...built.parts.keys()].filter((id) => holdsBack(built.parts, id))),
    served: line === undefined ? [] : servedOn(line),
    ...(header !== undefined && { header }),
    others: held,
  };
}

const known = new WeakMap<Line, readonly string[]>();

/** Who has service on an ordinary day: worked out once for a line. */
function servedOn(line: Line): readonly string[] {
  const made = known.get(line) ?? findServed(line);
  known.set(line, made);
  return made;
}

function findServed(line: Line): string[] {
  const net = network(standing(line, new Map()));
  const fed = usuallyFed(net);
  return net.nodes.flatMap((node, index) =>
    node.kind === "consumer" && fed[index] && mediumOf(line, node) !== "electricity" ? [node.id] : [],
  );
}
