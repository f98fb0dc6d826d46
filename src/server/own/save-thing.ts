import { merged } from "@/core/formats";
import { err, ok, type Problem, type Result } from "@/core/result";
import { type Edited, edit } from "../book/edit";
import type { Things, Wanted, WantedOf } from "../book/kind";
import { kindOf } from "../book/kinds";
import type { Services } from "../services";
import { followers } from "./followers";

/** Kinds of own data that are changed in a form, and the field that each goes by. */
const KEYS = {
  valve: "tag",
  place: "name",
  person: "id",
  instrument: "id",
  house: "id",
  mapping: "id",
  store: "id",
  order: "id",
} as const;
export type Owned = keyof typeof KEYS;

/** What a form hands in: the row as it shall be, and as it was when the form was opened; nothing for a new one. */
export interface Handed<T> {
  readonly was?: T;
  readonly row: T;
}

export interface Saved extends Edited {
  readonly id: string;
}

const keyOf = <K extends Owned>(kind: K, row: Things[K]): string =>
  String((row as unknown as Record<string, unknown>)[KEYS[kind]]);

const meanwhile = (theirs: unknown) =>
  `Somebody changed this meanwhile, to ${theirs === undefined ? "nothing" : JSON.stringify(theirs)}. Load the page again and look at it, then save.`;

/**
 * Keeps a row as it was filled in. What somebody else changed since the form was opened stays, unless both changed the
 * same field. A row that is to go by another name takes along what goes by the old one.
 *
 * @param id by which it is known; nothing for a new one
 */
export function saveThing<K extends Owned>(
  services: Services,
  kind: K,
  id: string | undefined,
  { was, row }: Handed<Things[K]>,
  by: string,
): Result<Saved, Problem[]> {
  const { find, merge = merged } = kindOf(kind);
  const to = keyOf(kind, row);
  if (to !== id && find(services, to) !== undefined)
    return err([{ path: `/${KEYS[kind]}`, message: taken(services, kind, to) }]);
  const now = id === undefined ? undefined : find(services, id);
  const joined = merge(id === undefined ? undefined : (was ?? now), row, now);
  if (!joined.ok)
    return err(
      now === undefined && id !== undefined
        ? [{ path: "", message: `${id} is not here any more. Somebody took it away meanwhile.` }]
        : joined.error.map(({ path, theirs }) => ({ path, message: meanwhile(theirs) })),
    );
  const wanted: WantedOf<K> = { kind, id: to, after: joined.value };
  const renamed = id !== undefined && id !== to;
  const done = edit(
    services,
    {
      by,
      what: renamed
        ? { kind: "renamed", thing: kind, from: id, to }
        : { kind: now === undefined ? "added" : "changed", thing: kind, ids: [to] },
    },
    renamed ? renaming(services, kind, id, wanted) : [wanted as Wanted],
  );
  return done.ok ? ok({ ...done.value, id: to }) : done;
}

function taken({ register }: Services, kind: Owned, key: string): string {
  if (kind !== "valve") return `"${key}" is here already. Give this one another.`;
  return register.valve(key) === undefined
    ? `"${key}" was retired. Bring it back, or take another tag.`
    : `"${key}" is in the register already. Take another tag.`;
}

function renaming<K extends Owned>(services: Services, kind: K, id: string, wanted: WantedOf<K>): Wanted[] {
  const gone = { kind, id, after: undefined } as Wanted;
  const along = followers(services, kind, id, wanted.id);
  if (wanted.kind !== "valve") return [gone, wanted as Wanted, ...along];
  // On its line it stands where it stood.
  const valve = wanted.after as Things["valve"];
  const after = valve.line === undefined || valve.node !== undefined ? valve : { ...valve, node: id };
  return [gone, { kind: "valve", id: wanted.id, after }, ...along];
}

/** Takes a thing away, where nothing hangs on it. */
export function removeThing(
  services: Services,
  kind: Owned | "line" | "sheet" | "store",
  id: string,
  by: string,
): Result<Edited, Problem[]> {
  if (kindOf(kind).find(services, id) === undefined)
    return err([{ path: "", message: `There is no "${id}" here any more.` }]);
  return edit(services, { by, what: { kind: "removed", thing: kind, ids: [id] } }, [
    { kind, id, after: undefined } as Wanted,
  ]);
}
