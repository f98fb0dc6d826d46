import type { Kit, Sheet, StockItem, Store } from "../formats";

/** Something to bring: a kit or a single part, from one place. */
export interface Pick {
  readonly kind: "kit" | "part";
  readonly id: string;
  readonly name: string;
  readonly pieces: number;
  readonly place: string;
  readonly price: number;
  readonly days: number;
}

export interface Leftover {
  readonly name: string;
  readonly quantity: number;
  readonly why: string;
}

export interface KitChoice {
  readonly picks: readonly Pick[];
  readonly price: number;
  /** Days until everything is in hand. */
  readonly days: number;
  /** Parts that no stock covers. */
  readonly missing: readonly string[];
  /** What will be left over when the right parts are fitted. */
  readonly leftovers: readonly Leftover[];
  /** Kits of this sheet that do not fit this generation: the look-alikes not to take. */
  readonly doNotTake: readonly { readonly id: string; readonly name: string; readonly why: string }[];
}

interface Candidate {
  readonly pick: Pick;
  readonly covers: ReadonlyMap<string, number>;
  readonly kit?: Kit;
}

/** A sheet has a handful of kits; beyond this many candidates the cheapest covers of each part are kept. */
const MOST_CANDIDATES = 14;

/**
 * The cover of the parts to renew that leaves least uncovered, is soonest in hand, then cheapest: every set of the
 * candidates is tried, which is exact for the dozen that a sheet has.
 *
 * @param needs pieces wanted by part id · @param generation of the valve; a kit that names others is not offered
 */
export function chooseKits(
  sheet: Sheet,
  needs: ReadonlyMap<string, number>,
  store: Store | undefined,
  generation?: string,
): KitChoice {
  const fits = (kit: Kit) =>
    kit.lookAlike === undefined &&
    (kit.generations === undefined || generation === undefined || kit.generations.includes(generation));
  const doNotTake =
    needs.size === 0
      ? []
      : sheet.kits
          .filter((kit) => !fits(kit))
          .map((kit) => ({
            id: kit.id,
            name: kit.name,
            why:
              kit.lookAlike ?? `fits generation ${kit.generations?.join(", ")}; this valve is ${generation}`,
          }));
  const candidates = candidatesFor(sheet, needs, store, fits).slice(0, MOST_CANDIDATES);
  let best: { mask: number; rank: readonly number[] } | undefined;
  for (let mask = 0; mask < 1 << candidates.length; mask++) {
    const chosen = candidates.filter((_, index) => mask & (1 << index));
    const rank = [uncovered(needs, chosen).length, longest(chosen), total(chosen), chosen.length];
    if (best === undefined || before(rank, best.rank)) best = { mask, rank };
  }
  const chosen = candidates.filter((_, index) => (best?.mask ?? 0) & (1 << index));
  return {
    picks: chosen.map((each) => each.pick),
    price: total(chosen),
    days: longest(chosen),
    missing: uncovered(needs, chosen),
    leftovers: leftoversOf(sheet, needs, chosen),
    doNotTake,
  };
}

const total = (chosen: readonly Candidate[]) => chosen.reduce((sum, each) => sum + each.pick.price, 0);
const longest = (chosen: readonly Candidate[]) =>
  chosen.reduce((most, each) => Math.max(most, each.pick.days), 0);

function before(a: readonly number[], b: readonly number[]): boolean {
  const differs = a.findIndex((value, index) => value !== b[index]);
  return differs !== -1 && a[differs]! < b[differs]!;
}

function uncovered(needs: ReadonlyMap<string, number>, chosen: readonly Candidate[]): string[] {
  return [...needs].flatMap(([part, quantity]) => {
    const brought = chosen.reduce((sum, each) => sum + (each.covers.get(part) ?? 0), 0);
    return brought < quantity ? [part] : [];
  });
}

function candidatesFor(
  sheet: Sheet,
  needs: ReadonlyMap<string, number>,
  store: Store | undefined,
  fits: (kit: Kit) => boolean,
): Candidate[] {
  if (store === undefined) return [];
  const names = new Map(sheet.parts.map((part) => [part.id, part.name]));
  const at = (item: StockItem) => store.places.find((place) => place.id === item.place);
  /** The soonest, then cheapest, place that has enough. */
  const stock = (kind: "kit" | "part", id: string, pieces: number) =>
    store.stock
      .filter(
        (item) =>
          item.item.kind === kind &&
          item.item.id === id &&
          (item.item.sheet ?? sheet.id) === sheet.id &&
          item.quantity >= pieces,
      )
      .sort((a, b) => (at(a)?.days ?? 0) - (at(b)?.days ?? 0) || a.price - b.price)[0];
  const pick = (kind: "kit" | "part", id: string, name: string, pieces: number): Pick | undefined => {
    const item = stock(kind, id, pieces);
    return (
      item && {
        kind,
        id,
        name,
        pieces,
        place: at(item)?.name ?? item.place,
        price: item.price * pieces,
        days: at(item)?.days ?? 0,
      }
    );
  };
  const kits = sheet.kits.flatMap((kit): Candidate[] => {
    if (!fits(kit) || !kit.contents.some((item) => needs.has(item.part))) return [];
    const found = pick("kit", kit.id, kit.name, 1);
    return found === undefined
      ? []
      : [{ pick: found, covers: new Map(kit.contents.map((item) => [item.part, item.quantity])), kit }];
  });
  const singles = sheet.singles.flatMap((part): Candidate[] => {
    const quantity = needs.get(part);
    const found = quantity === undefined ? undefined : pick("part", part, names.get(part) ?? part, quantity);
    return found === undefined || quantity === undefined
      ? []
      : [{ pick: found, covers: new Map([[part, quantity]]) }];
  });
  return [...kits, ...singles];
}

function leftoversOf(
  sheet: Sheet,
  needs: ReadonlyMap<string, number>,
  chosen: readonly Candidate[],
): Leftover[] {
  const names = new Map(sheet.parts.map((part) => [part.id, part.name]));
  const brought = new Map<string, number>();
  for (const each of chosen)
    for (const [part, quantity] of each.covers) brought.set(part, (brought.get(part) ?? 0) + quantity);
  const spare = [...brought].flatMap(([part, quantity]) => {
    const left = quantity - (needs.get(part) ?? 0);
    return left > 0
      ? [{ name: names.get(part) ?? part, quantity: left, why: "Not disturbed in this job: back to stock." }]
      : [];
  });
  return [...chosen.flatMap((each) => each.kit?.leftovers ?? []), ...spare];
}
