import type { Medium, Stream } from "../formats";

/** When a stream is shut, and why then; it comes back in the reverse order. */
export interface StreamOrder {
  /** Lower is shut earlier and opened later. */
  readonly rank: number;
  readonly shut?: string;
  readonly open?: string;
}

/**
 * Electricity first and back last; hot off before cold and on after it, so that no mixer sends hot alone; liquid off
 * before hot gas and suction, so that the plant draws the section down, and on after them, so that liquid meets
 * pressure and not a void; steam off before condensate, so that it still drains; water off before the air that holds
 * a valve set, and on after it.
 */
const ORDER: Partial<Record<Medium | Stream, StreamOrder>> = {
  electricity: {
    rank: 0,
    shut: "Electricity first: a running pump makes pressure as fast as you drain it, and a coil opens what you shut.",
    open: "Electricity last: everything else is whole, full and proven.",
  },
  gas: { rank: 1, open: "Slowly, with every appliance off: purge, test, then relight each one." },
  steam: {
    rank: 1,
    shut: "Steam before condensate: what is left still drains.",
    open: "Steam last, by a crack: warm through, drain until it runs clear, then little by little. Cold pipe and fast steam make hammer that breaks fittings.",
  },
  hot: {
    rank: 1,
    shut: "Hot before cold: the outlet must never run on hot alone.",
    open: "Hot after cold: the outlet is cold already and cannot scald.",
  },
  liquid: {
    rank: 1,
    shut: "Liquid first: the plant then draws the section down.",
    open: "Liquid last, by a crack: vapour has brought the section up to pressure.",
  },
  "hot-gas": { rank: 2, shut: "After the liquid: no heat into a section that is being drawn down." },
  mixed: { rank: 2, shut: "Before the cold: nothing may come back from the mixed side." },
  cold: { rank: 3, shut: "Cold after hot.", open: "Cold before hot: fill, look for drips, let the air out." },
  water: { rank: 3 },
  condensate: {
    rank: 3,
    shut: "After the steam: it took the last of it away.",
    open: "Condensate first: the steam that follows needs somewhere to drain to.",
  },
  ammonia: { rank: 4 },
  co2: {
    rank: 4,
    // A plan of a line is made before anybody says in which units it is read: so both.
    open: "By a crack, with vapour, until the section is above 7 bar g (102 psi g): liquid let into less turns to dry ice.",
  },
  suction: {
    rank: 4,
    shut: "Suction last: until now it drew the section empty.",
    open: "Vapour side first: it brings the section up to pressure without liquid.",
  },
  pilot: {
    rank: 5,
    shut: "The control line last: without it the valve would open.",
    open: "The control line first: it holds the valve shut while the main fills.",
  },
  air: {
    rank: 5,
    shut: "Air after water: without air the valve trips and floods the pipes.",
    open: "Air before water: it sets the valve that holds the water back.",
  },
};
const USUAL: StreamOrder = { rank: 3 };

export const orderOf = (stream: Medium | Stream): StreamOrder => ORDER[stream] ?? USUAL;
