import type { Line } from "@/core/formats";
import { joinLines, splitLine } from "@/core/making";
import { err, ok, type Problem, type Result } from "@/core/result";
import { joinMessage, speaker, splitMessage } from "@/words";
import { type Edited, edit } from "../book/edit";
import type { Wanted } from "../book/kind";
import type { Services } from "../services";

export interface Reworked extends Edited {
  readonly id: string;
}

const none = (id: string): Problem[] => [{ path: "/id", message: `There is no line "${id}" here any more.` }];
const taken = (id: string): Problem[] => [
  { path: "/id", message: `There is a line "${id}" already. Give this one another id.` },
];

/** The valves of a line moved to another one, each to its place under the name that has there. */
const moved = (
  services: Services,
  from: string,
  to: string,
  place: (at: string) => string | undefined,
): Wanted[] =>
  services.register.onLine(from).flatMap((valve): Wanted[] => {
    const node = place(valve.node ?? valve.tag);
    return node === undefined ? [] : [{ kind: "valve", id: valve.tag, after: { ...valve, line: to, node } }];
  });

/** A copy of a line under another id: the same piping, and no valve of the register on it. */
export function copyLine(
  services: Services,
  from: string,
  head: Pick<Line, "id" | "name">,
  by: string,
): Result<Reworked, Problem[]> {
  const line = services.library.line(from);
  if (line === undefined) return err(none(from));
  if (services.library.line(head.id) !== undefined) return err(taken(head.id));
  const bare = line.nodes.map(({ asset: _, ...node }) => node);
  const after: Line = { ...line, ...head, nodes: bare };
  const what = { kind: "added", thing: "line", ids: [head.id] } as const;
  const done = edit(services, { by, what }, [{ kind: "line", id: head.id, after }]);
  return done.ok ? ok({ ...done.value, id: head.id }) : done;
}

/** Cuts a line in two at a link; the valves beyond it move to the new line, and all of it is undone as one. */
export function splitStored(
  services: Services,
  from: string,
  { at, ...head }: Pick<Line, "id" | "name"> & { readonly at: string },
  by: string,
): Result<Reworked, Problem[]> {
  const line = services.library.line(from);
  if (line === undefined) return err(none(from));
  if (services.library.line(head.id) !== undefined) return err(taken(head.id));
  const split = splitLine(line, at, head);
  if (!split.ok) return err([{ path: "/at", message: splitMessage(speaker(), split.error) }]);
  const { near, far } = split.value;
  const kept = new Set(near.nodes.flatMap(({ id, asset }) => (asset === undefined ? [id] : [id, asset])));
  // The cut link stays in both: a valve that is this link stays on the near side.
  const stays = (place: string) => kept.has(place) || near.links.some(({ id }) => id === place);
  const what = { kind: "changed", thing: "line", ids: [from, head.id] } as const;
  const done = edit(services, { by, what }, [
    { kind: "line", id: head.id, after: far },
    ...moved(services, from, head.id, (place) => (stays(place) ? undefined : place)),
    { kind: "line", id: from, after: near },
  ]);
  return done.ok ? ok({ ...done.value, id: head.id }) : done;
}

/** Joins another line to a place of this one; its valves come along, the other line is gone, undone as one. */
export function joinStored(
  services: Services,
  to: string,
  { at, other, place }: { readonly at: string; readonly other: string; readonly place: string },
  by: string,
): Result<Reworked, Problem[]> {
  const [first, second] = [services.library.line(to), services.library.line(other)];
  if (first === undefined) return err(none(to));
  if (second === undefined)
    return err([{ path: "/other", message: `There is no line "${other}" here any more.` }]);
  const joined = joinLines(first, at, second, place);
  if (!joined.ok) return err([{ path: "/place", message: joinMessage(speaker(), joined.error) }]);
  const { line, renamed } = joined.value;
  const what = { kind: "changed", thing: "line", ids: [to, other] } as const;
  const done = edit(services, { by, what }, [
    { kind: "line", id: to, after: line },
    ...moved(services, other, to, (node) => renamed.get(node) ?? node),
    { kind: "line", id: other, after: undefined },
  ]);
  return done.ok ? ok({ ...done.value, id: to }) : done;
}
