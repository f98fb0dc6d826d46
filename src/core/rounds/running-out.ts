import { type Instrument, type Item, itemKey, type Person, type Store } from "../formats";
import { addMonths } from "./next-due";

/** What holds until a day: a competence of somebody, the calibration of an instrument, rubber on the shelf. */
export type RunsOut =
  | {
      readonly kind: "competence";
      readonly id: string;
      readonly name: string;
      readonly what: string;
      readonly at: number;
    }
  | {
      readonly kind: "calibration";
      readonly id: string;
      readonly name: string;
      readonly at: number | undefined;
    }
  | {
      readonly kind: "shelf-life";
      readonly id: string;
      readonly name: string;
      readonly item: Item;
      readonly store: string;
      readonly place: string;
      readonly pieces: number;
      readonly at: number;
    };

const DAY_MS = 86_400_000;

/** A day that is named is whole: what holds until it holds to its end, ms. */
const endOf = (day: string): number => Date.parse(day) + DAY_MS;

/** Until when the calibration of an instrument holds, ms; nothing when it was never calibrated or needs none. */
export function calibratedUntil({ calibrated, every_months }: Instrument): number | undefined {
  return calibrated === undefined || every_months === undefined
    ? undefined
    : addMonths(Date.parse(calibrated), every_months);
}

/**
 * Competences, calibrations and shelf lives that run out before a moment or have run out, the earliest first. An instrument that is
 * to be calibrated and never was stands before all.
 *
 * @param by ms: what holds longer is not told
 */
export function runningOut(
  people: readonly Person[],
  instruments: readonly Instrument[],
  stores: readonly Store[],
  by: number,
): RunsOut[] {
  const competences = people.flatMap(({ id, name, competent = {}, left }): RunsOut[] =>
    left !== undefined
      ? []
      : Object.entries(competent as Record<string, string>).flatMap(([what, until]) =>
          until === "open" || endOf(until) > by
            ? []
            : [{ kind: "competence", id, name, what, at: endOf(until) }],
        ),
  );
  const calibrations = instruments.flatMap((instrument): RunsOut[] => {
    if (instrument.out !== undefined || instrument.every_months === undefined) return [];
    const at = calibratedUntil(instrument);
    return at !== undefined && at > by
      ? []
      : [{ kind: "calibration", id: instrument.id, name: instrument.name, at }];
  });
  return [...competences, ...calibrations, ...shelfLives(stores, by)].sort(
    (a, b) => (a.at ?? 0) - (b.at ?? 0),
  );
}

/** Batches that may not be used any more after a moment; a supplier's are its own care. */
const shelfLives = (stores: readonly Store[], by: number): RunsOut[] =>
  stores.flatMap((store) =>
    store.stock.flatMap(({ item, name, place, batches = [] }) =>
      batches.flatMap(({ until, quantity }): RunsOut[] =>
        endOf(until) > by
          ? []
          : [
              {
                kind: "shelf-life",
                id: `${store.id} ${place} ${itemKey(item)} ${until}`,
                name,
                item,
                store: store.id,
                place: store.places.find(({ id }) => id === place)?.name ?? place,
                pieces: quantity,
                at: endOf(until),
              },
            ],
      ),
    ),
  );
