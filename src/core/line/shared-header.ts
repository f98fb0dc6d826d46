import type { Line } from "../formats";

/** A header that this relief valve blows into, and others with it. @returns nothing where it blows alone */
export function sharedHeader(
  line: Line,
  at: string,
): { readonly header: string; readonly others: readonly string[] } | undefined {
  const own = line.nodes.find(({ id, asset }) => id === at || asset === at);
  if (own?.header === undefined) return undefined;
  const { id: ownId, header } = own;
  const others = line.nodes.flatMap(({ id, name = id, header: into }) =>
    into === header && id !== ownId ? [name] : [],
  );
  return others.length === 0 ? undefined : { header, others };
}
