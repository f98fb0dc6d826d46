import type { Sheet, Store } from "../formats";
import { chooseKits, notAside, type Pick, stockFor } from "../store";

/** So many valves of one kind that are due, or reported. */
export interface DueKind {
  readonly sheet: Sheet;
  readonly generation: string | undefined;
  readonly count: number;
}

/** Something that may be needed more often than any place has it. */
export interface Shortage {
  readonly item: "kit" | "part";
  readonly id: string;
  readonly name: string;
  /** The valve a part is for. */
  readonly sheet?: string;
  readonly need: number;
  readonly have: number;
}

/** What one valve of a kind takes, and how many pieces of each kit lie anywhere and are free. */
interface Taken {
  readonly kits: readonly Pick[];
  readonly missing: readonly { readonly part: string; readonly pieces: number }[];
  readonly stock: ReadonlyMap<string, number>;
}

/** Worked out once for each kind: neither a sheet's revision nor a stock read changes. */
const taken = new WeakMap<readonly Store[], Map<string, Taken>>();

/** What the due work may take beyond the stock of all stores, the largest lack first. */
export function shortages(due: Iterable<DueKind>, stores: readonly Store[]): Shortage[] {
  const wanted = new Map<string, Shortage>();
  const add = (key: string, more: Shortage) => {
    const known = wanted.get(key);
    wanted.set(key, known === undefined ? more : { ...known, need: known.need + more.need });
  };
  for (const kind of due) {
    const { kits, missing, stock } = takenBy(kind, stores);
    for (const { id, name, pieces } of kits)
      add(id, { item: "kit", id, name, need: kind.count * pieces, have: stock.get(id) ?? 0 });
    for (const { part, pieces } of missing) {
      const name = kind.sheet.parts.find(({ id }) => id === part)?.name ?? part;
      add(`${kind.sheet.id}:${part}`, {
        item: "part",
        id: part,
        name,
        sheet: kind.sheet.title,
        need: kind.count * pieces,
        have: 0,
      });
    }
  }
  return [...wanted.values()]
    .filter(({ need, have }) => need > have)
    .sort((a, b) => b.need - b.have - (a.need - a.have));
}

/** Soft parts and parts that serve once: what a job on such a valve is likely to renew. */
function takenBy({ sheet, generation }: DueKind, stores: readonly Store[]): Taken {
  const known = taken.get(stores) ?? new Map<string, Taken>();
  taken.set(stores, known);
  const key = `${sheet.id}@${sheet.revision} ${generation ?? ""}`;
  const made = known.get(key);
  if (made !== undefined) return made;
  const store = stockFor(sheet, stores);
  const needs = new Map(
    sheet.parts
      .filter((part) => part.soft || part.oneUse !== undefined)
      .map((part) => [part.id, part.quantity]),
  );
  const { picks, missing } = chooseKits(sheet, needs, store, generation);
  const stock = new Map<string, number>();
  for (const row of store?.stock ?? [])
    if (row.item.kind === "kit") stock.set(row.item.id, (stock.get(row.item.id) ?? 0) + notAside(row));
  const fresh = { kits: picks.filter(({ kind }) => kind === "kit"), missing, stock };
  known.set(key, fresh);
  return fresh;
}
