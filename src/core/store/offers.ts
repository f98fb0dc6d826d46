import { cutOf } from "../build";
import type { Kit, Sheet, Store } from "../formats";
import type { Offer, Pieces } from "./cover";
import { contentsOf, nameOfPieces } from "./stack-pieces";
import { type Lying, lyingFor } from "./stock";

/** A kit not to take: it looks like one for this valve, or fits another generation. */
export type NotThisKit = { readonly id: string; readonly name: string } & NotThis;

type NotThis =
  | { readonly kind: "look-alike"; readonly why: string }
  | { readonly kind: "other-generation"; readonly fits: readonly string[]; readonly is: string };

/** A kit or a part that lies somewhere, with what of it is in there. */
export interface StockOffer extends Offer {
  readonly lying: Lying;
  readonly name: string;
  /** What the sheet calls it. */
  readonly sheetName: string;
  readonly kit?: Kit;
}

/** Prices are weighed in whole hundredths. */
export const HUNDREDTHS = 100;

/** Why a kit is not for this valve. */
export function unfit(kit: Kit, generation: string | undefined): NotThis | undefined {
  if (kit.lookAlike !== undefined) return { kind: "look-alike", why: kit.lookAlike };
  return kit.generations === undefined || generation === undefined || kit.generations.includes(generation)
    ? undefined
    : { kind: "other-generation", fits: kit.generations, is: generation };
}

/** A flange gasket that lies there singly is cut as its sheet draws it: none of those is taken where it is cut otherwise. */
function otherwiseCut(sheet: Sheet, id: string): boolean {
  const part = sheet.parts.find((each) => each.id === id);
  return part !== undefined && cutOf(sheet, part) !== undefined && !sheet.singles.includes(id);
}

/** What lies anywhere and has something of what is needed. @param needs pieces by part, or by piece of a stack */
export function offersOf(
  sheet: Sheet,
  needs: Pieces,
  store: Store | undefined,
  generation: string | undefined,
): StockOffer[] {
  const kits = new Map(
    sheet.kits.filter((kit) => unfit(kit, generation) === undefined).map((kit) => [kit.id, kit]),
  );
  return lyingFor(sheet, store).flatMap((lying): StockOffer[] => {
    const offer = {
      item: `${lying.kind} ${lying.item.id}`,
      price: Math.round(lying.price * HUNDREDTHS),
      atMost: lying.pieces,
      lying,
    };
    if (lying.kind === "part")
      return needs.has(lying.id) && !otherwiseCut(sheet, lying.id)
        ? [
            {
              ...offer,
              name: lying.name ?? nameOfPieces(sheet, lying.id),
              sheetName: nameOfPieces(sheet, lying.id),
              contents: new Map([[lying.id, 1]]),
            },
          ]
        : [];
    const kit = kits.get(lying.id);
    if (kit === undefined) return [];
    const contents = contentsOf(sheet, kit);
    return [...contents.keys()].some((each) => needs.has(each))
      ? [{ ...offer, name: lying.name ?? kit.name, sheetName: kit.name, contents, kit }]
      : [];
  });
}
