import type { Flow } from "../formats";

/**
 * In what order streams are shut; they come back in the reverse order. Electricity first and back last; hot off before
 * cold and on after it, so that no mixer sends hot alone; liquid off before hot gas and suction, so that the plant draws
 * the section down, and on after them, so that liquid meets pressure and not a void; steam off before condensate, so
 * that it still drains; water off before the air that holds a valve set, and on after it.
 */
const RANK: Partial<Record<Flow, number>> = {
  electricity: 0,
  gas: 1,
  steam: 1,
  hot: 1,
  liquid: 1,
  "hot-gas": 2,
  mixed: 2,
  cold: 3,
  water: 3,
  condensate: 3,
  ammonia: 4,
  co2: 4,
  suction: 4,
  pilot: 5,
  air: 6,
};
const USUAL = 3;

/** Lower is shut earlier and opened later. */
export const rankOf = (stream: Flow): number => RANK[stream] ?? USUAL;
