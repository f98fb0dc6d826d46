import type { Line, LineLink, LineNode } from "../formats";
import { err, ok, type Result } from "../result";

export type JoinFailure =
  | { readonly kind: "no-such-place"; readonly line: string; readonly place: string }
  | { readonly kind: "other-medium"; readonly here: string; readonly there: string }
  | { readonly kind: "same-line" };

export interface Joined {
  readonly line: Line;
  /** What places and links of the second line are called in the joined one, where that is another name. */
  readonly renamed: ReadonlyMap<string, string>;
}

const GAP = 260;

const renameIn = (link: LineLink, name: (id: string) => string): LineLink => {
  const made = { ...link, id: name(link.id), from: name(link.from), to: name(link.to) };
  return made.kind === "pump" && made.motor !== undefined ? { ...made, motor: name(made.motor) } : made;
};

/**
 * Two lines as one: a place of the first and a place of the second become one place, that of the first. What bears the
 * same id in both gets another one in the second. The second is drawn beside the first.
 */
export function joinLines(first: Line, at: string, second: Line, with_: string): Result<Joined, JoinFailure> {
  if (first.id === second.id) return err({ kind: "same-line" });
  const here = first.nodes.find(({ id }) => id === at);
  const there = second.nodes.find(({ id }) => id === with_);
  if (here === undefined) return err({ kind: "no-such-place", line: first.name, place: at });
  if (there === undefined) return err({ kind: "no-such-place", line: second.name, place: with_ });
  const [mediumHere, mediumThere] = [here.medium ?? first.medium, there.medium ?? second.medium];
  if (mediumHere !== mediumThere) return err({ kind: "other-medium", here: mediumHere, there: mediumThere });
  const taken = new Set([...first.nodes, ...first.links].map(({ id }) => id));
  const renamed = new Map<string, string>([[with_, at]]);
  const free = (id: string): string => {
    let name = id;
    for (let number = 2; taken.has(name); number++) name = `${id}.${number}`;
    taken.add(name);
    return name;
  };
  for (const { id } of [...second.nodes, ...second.links]) if (id !== with_) renamed.set(id, free(id));
  const name = (id: string) => renamed.get(id) ?? id;
  const right = Math.max(...first.nodes.map((node) => node.at?.[0] ?? 0)) + GAP;
  const left = Math.min(...second.nodes.map((node) => node.at?.[0] ?? 0));
  const shift = ([x, y]: readonly [number, number]): [number, number] => [x - left + right, y];
  const nodes = second.nodes.flatMap((node): LineNode[] => {
    if (node.id === with_) return [];
    return [
      {
        ...node,
        id: name(node.id),
        // Each keeps what runs in it, whatever the joined line is named after.
        ...(node.medium === undefined && second.medium !== first.medium && { medium: second.medium }),
        ...(node.at !== undefined && { at: shift(node.at) }),
        ...(node.with !== undefined && { with: node.with.map(name) }),
        ...(node.threeWay !== undefined && {
          threeWay: {
            ...node.threeWay,
            positions: node.threeWay.positions.map((position) => ({
              ...position,
              joins: position.joins.map((group) => group.map(name)),
            })),
          },
        }),
      },
    ];
  });
  const links = second.links.map((link): LineLink => {
    const made = renameIn(link, name);
    return {
      ...made,
      ...(made.medium === undefined && second.medium !== first.medium && { medium: second.medium }),
      ...(made.via !== undefined && { via: made.via.map(shift) }),
    };
  });
  // A place that fed one of them is fed by the other now.
  const kept: LineNode =
    there.kind === "source" || here.kind !== "boundary" ? here : { ...here, kind: "junction" };
  return ok({
    line: {
      ...first,
      rule: first.rule === "single" ? second.rule : first.rule,
      nodes: [...first.nodes.map((node) => (node.id === at ? kept : node)), ...nodes],
      links: [...first.links, ...links],
    },
    renamed: new Map([...renamed].filter(([from, to]) => from !== to)),
  });
}
