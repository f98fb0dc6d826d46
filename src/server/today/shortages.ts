import type { Sheet, Store } from "@/core/formats";
import { chooseKits, type KitChoice, stockFor } from "@/core/store";
import type { Services } from "../services";

/** Kinds of valve that are told: the list is to be read, and the store is asked for each. */
const MOST_TOLD = 12;

/** What one kind of valve takes from the stock, and the stock. */
interface Taken {
  readonly kits: KitChoice;
  readonly stock: Store | undefined;
}

/** Worked out once for each kind: neither a sheet's revision nor a stock read changes. */
const chosen = new WeakMap<readonly Store[], Map<string, Taken>>();

function takenFor(sheet: Sheet, stores: readonly Store[], generation: string | undefined): Taken {
  const known = chosen.get(stores) ?? new Map<string, Taken>();
  chosen.set(stores, known);
  const key = `${sheet.id}@${sheet.revision} ${generation ?? ""}`;
  const needs = new Map(
    sheet.parts
      .filter((part) => part.soft || part.oneUse !== undefined)
      .map((part) => [part.id, part.quantity]),
  );
  const stock = stockFor(sheet, stores);
  const made = known.get(key) ?? { kits: chooseKits(sheet, needs, stock, generation), stock };
  known.set(key, made);
  return made;
}

/** Kits that what is due by then, or reported, may need, and that the store lacks. */
export function shortages({ library, register, now }: Services, by: number): string[] {
  const stores = library.stores();
  const wanted = new Map<string, { name: string; need: number; have: number }>();
  const sheets = new Map<string, Sheet | undefined>();
  for (const kind of register.dueKinds(by, now())) {
    if (!sheets.has(kind.sheet)) sheets.set(kind.sheet, library.sheet(kind.sheet));
    const sheet = sheets.get(kind.sheet);
    if (sheet === undefined) continue;
    const { kits, stock } = takenFor(sheet, stores, kind.generation ?? undefined);
    for (const pick of kits.picks.filter((each) => each.kind === "kit")) {
      const have =
        stock?.stock
          .filter(({ item }) => item.kind === "kit" && item.id === pick.id)
          .reduce((sum, item) => sum + item.quantity, 0) ?? 0;
      const known = wanted.get(pick.id) ?? { name: pick.name, need: 0, have };
      wanted.set(pick.id, { ...known, need: known.need + kind.count * pick.pieces });
    }
    for (const { part, pieces } of kits.missing) {
      const name = sheet.parts.find((each) => each.id === part)?.name ?? part;
      wanted.set(`${sheet.id}:${part}`, {
        name: `${name} for ${sheet.title}`,
        need: kind.count * pieces,
        have: 0,
      });
    }
  }
  return [...wanted.values()]
    .filter((each) => each.need > each.have)
    .sort((a, b) => b.need - b.have - (a.need - a.have))
    .slice(0, MOST_TOLD)
    .map((each) => `${each.name}: ${each.need} may be needed, ${each.have} in stock`);
}
