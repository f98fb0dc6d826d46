import type { Line, Medium } from "../formats";
import { Piping } from "./piping";

/** A piece of piping that is put to a place of a line: what hangs on it, with its own stop and drain. */
export interface Piece {
  readonly id: string;
  readonly name: string;
  /** What runs in the lines it is of. */
  readonly media: readonly Medium[];
  /** Puts it to a place; gives the id of what stands in it. */
  readonly put: (piping: Piping, at: string) => string;
}

const STEP = 130;
const DROP = 90;

/** Beside and below a place, by so many steps. */
const beside = (piping: Piping, at: string, right: number, down: number): [number, number] => {
  const [x, y] = piping.node(at).at ?? [0, 0];
  return [x + right * STEP, y + down * DROP];
};
const height = (piping: Piping, at: string) => piping.node(at).elevation_m;

const hydrant: Piece = {
  id: "hydrant",
  name: "Hydrant with its street valve",
  media: ["water"],
  put(piping, at) {
    const foot = piping.put("junction", "J", beside(piping, at, 0, 1), height(piping, at));
    const stands = piping.put("consumer", "H", beside(piping, at, 0, 2), height(piping, at) + 1, {
      name: "Hydrant",
      hydrant: true,
    });
    piping.valve(at, foot, "Street valve", { type: "gate", access_min: 5 }, "SV-");
    piping.pipe(foot, stands, 100, 2);
    return stands;
  },
};

const user: Piece = {
  id: "user",
  name: "Somebody who is fed, behind a stop valve",
  media: ["water", "air", "gas", "steam", "oil"],
  put(piping, at) {
    const stands = piping.put("consumer", "C", beside(piping, at, 1, 1), height(piping, at), {
      name: "Consumer",
    });
    piping.valve(at, stands, "Stop valve");
    return stands;
  },
};

const drain: Piece = {
  id: "drain",
  name: "Drain cock",
  media: ["water", "condensate", "steam", "oil"],
  put(piping, at) {
    const stands = piping.put("drain", "D", beside(piping, at, 0, 1), height(piping, at) - 0.2, {
      name: "Drain",
    });
    piping.pipe(at, stands, 15, 0.3);
    return stands;
  },
};

const vent: Piece = {
  id: "vent",
  name: "Vent or bleed",
  media: ["water", "steam", "condensate", "air", "gas"],
  put(piping, at) {
    const stands = piping.put("vent", "B", beside(piping, at, 0, -1), height(piping, at) + 0.2, {
      name: "Bleed",
    });
    piping.pipe(at, stands, 15, 0.3);
    return stands;
  },
};

const gauge: Piece = {
  id: "gauge",
  name: "Gauge",
  media: ["water", "steam", "condensate", "air", "gas", "ammonia", "co2", "oil"],
  put(piping, at) {
    const stands = piping.put("gauge", "G", beside(piping, at, 0.6, -1), height(piping, at), {
      name: "Gauge",
    });
    piping.pipe(at, stands, 10, 0.2);
    return stands;
  },
};

/** Between two blocks on either side, each with a bleed: what stands between is parted from both, and that can be seen. */
const trapStation: Piece = {
  id: "trap-station",
  name: "Trap between its stops",
  media: ["steam"],
  put(piping, at) {
    const inlet = piping.put("junction", "J", beside(piping, at, 0, 1), height(piping, at) - 0.4);
    const bleed = piping.put("drain", "B", beside(piping, at, 0.6, 1.4), height(piping, at) - 0.6, {
      name: "Bleed",
    });
    const before = piping.put("junction", "J", beside(piping, at, 0, 2), height(piping, at) - 0.5);
    const stands = piping.put("junction", "T", beside(piping, at, 0, 3), height(piping, at) - 0.6, {
      name: "Steam trap",
    });
    const test = piping.put("gauge", "G", beside(piping, at, 0.7, 3), height(piping, at) - 0.5, {
      name: "Test gauge",
    });
    const after = piping.put("junction", "J", beside(piping, at, 0, 4), height(piping, at) - 0.8, {
      medium: "condensate",
    });
    piping.valve(at, inlet, "Drip stop", { type: "gate" });
    piping.pipe(inlet, bleed, 15, 0.3);
    piping.valve(inlet, before, "Trap inlet");
    piping.pipe(before, stands, 20, 0.5);
    piping.pipe(stands, test, 10, 0.2);
    piping.trap(stands, after);
    return after;
  },
};

const bed: Piece = {
  id: "bed",
  name: "Pit valve with its stop and coil",
  media: ["water"],
  put(piping, at) {
    const before = piping.put("junction", "J", beside(piping, at, 0, 1), height(piping, at) - 0.3);
    const stands = piping.put("junction", "D", beside(piping, at, 0, 2), height(piping, at) - 0.4, {
      name: "Pit valve",
      confined: true,
    });
    const outlet = piping.put("consumer", "Z", beside(piping, at, 0, 3), height(piping, at), { name: "Bed" });
    piping.valve(at, before, "Stop of the bed");
    piping.pipe(before, stands, 25, 0.5);
    piping.pipe(stands, outlet, 25, 30);
    return stands;
  },
};

const houseMeter: Piece = {
  id: "house-meter",
  name: "Meter with its cock, boiler and cooker",
  media: ["gas"],
  put(piping, at) {
    const riser = piping.put("junction", "J", beside(piping, at, 1, 0), height(piping, at) + 0.2);
    const meter = piping.put("junction", "M", beside(piping, at, 2, 0), height(piping, at) + 0.3, {
      name: "Meter",
    });
    const house = piping.put("junction", "J", beside(piping, at, 3, 0), height(piping, at) + 0.4);
    const test = piping.put("vent", "TP", beside(piping, at, 3, -0.8), height(piping, at) + 0.5, {
      name: "Test point",
    });
    const boiler = piping.put("consumer", "C", beside(piping, at, 4.3, -0.5), height(piping, at) + 0.8, {
      name: "Boiler",
    });
    const cooker = piping.put("consumer", "C", beside(piping, at, 4.3, 0.5), height(piping, at) + 0.6, {
      name: "Cooker",
    });
    const cock = piping.valve(at, riser, "Meter cock", { type: "plug", access_min: 2 }, "MC-");
    piping.pipe(riser, meter, 25, 0.3);
    piping.pipe(meter, house, 28, 8);
    piping.pipe(house, test, 8, 0.1);
    piping.valve(house, boiler, "Boiler cock", { type: "plug", access_min: 1 });
    piping.valve(house, cooker, "Cooker cock", { type: "plug", access_min: 1 });
    return cock;
  },
};

/** Every piece, in the order they are offered. */
export const PIECES: readonly Piece[] = [hydrant, user, drain, vent, gauge, trapStation, bed, houseMeter];

/** A line with a piece put to one of its places. */
export function withPiece(
  line: Line,
  piece: Piece,
  at: string,
): { readonly line: Line; readonly stands: string } {
  const piping = new Piping(line);
  const stands = piece.put(piping, at);
  return { line: piping.done(), stands };
}

export { bed, houseMeter, hydrant, trapStation };
