import type { Line, Valve } from "@/core/formats";
import type { Services } from "../services";
import type { Wanted } from "./kind";

/** The place of a line at which a valve stands, if it is a node: by its id, or by the tag that is written on it. */
const nodeOf = (line: Line, { tag, node }: Valve) =>
  line.nodes.find(({ id }) => id === (node ?? tag)) ??
  line.nodes.find(({ asset }) => asset === (node ?? tag));

/** The line with this tag at one of its places, and at no other. */
function withTag(line: Line, tag: string, at: string | undefined): Line {
  return {
    ...line,
    nodes: line.nodes.map((node) => {
      if (node.id === at) return node.id === tag || node.asset === tag ? node : { ...node, asset: tag };
      if (node.asset !== tag) return node;
      const { asset: _, ...without } = node;
      return without;
    }),
  };
}

/** Where a valve is put, taken from or moved to, its line shows it: the two are tied from either side. */
export function alongValve(
  { library }: Services,
  before: Valve | undefined,
  after: Valve | undefined,
): readonly Wanted[] {
  if (before?.line === after?.line && (before?.node ?? before?.tag) === (after?.node ?? after?.tag))
    return [];
  const lines = [...new Set([before?.line, after?.line])].flatMap((id) =>
    id === undefined ? [] : (library.line(id) ?? []),
  );
  return lines.map((line): Wanted => {
    const at = after !== undefined && after.line === line.id ? nodeOf(line, after)?.id : undefined;
    return { kind: "line", id: line.id, after: withTag(line, (after ?? before)!.tag, at) };
  });
}

const placed = (line: Line | undefined): ReadonlyMap<string, string> =>
  new Map(line?.nodes.flatMap(({ id, asset }) => (asset === undefined ? [] : [[asset, id] as const])) ?? []);

/** A tag that is written at a place of a line puts its valve there; one that is taken away takes it from the line. */
export function alongLine(
  { register }: Services,
  before: Line | undefined,
  after: Line | undefined,
): readonly Wanted[] {
  if (after === undefined) return [];
  const [had, has] = [placed(before), placed(after)];
  const put = [...has].flatMap(([tag, node]): Wanted[] => {
    const valve = had.get(tag) === node ? undefined : register.valve(tag);
    if (valve === undefined) return [];
    const stands = valve.line === after.id && (valve.node === node || (valve.node ?? tag) === tag);
    return stands ? [] : [{ kind: "valve", id: tag, after: { ...valve, line: after.id, node } }];
  });
  const taken = [...had].flatMap(([tag, node]): Wanted[] => {
    const valve = has.has(tag) ? undefined : register.valve(tag);
    if (valve?.line !== after.id || ![node, tag].includes(valve.node ?? tag)) return [];
    // A place that is gone altogether is no place to leave: that is refused.
    if (!after.nodes.some(({ id }) => id === node)) return [];
    // It stands there still by the id of the place.
    if ((valve.node ?? tag) === tag && after.nodes.some(({ id }) => id === tag)) return [];
    const { line: _, node: __, ...free } = valve;
    return [{ kind: "valve", id: tag, after: free }];
  });
  return [...put, ...taken];
}
