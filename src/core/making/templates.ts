import type { Line } from "../formats";
import { bed, houseMeter, hydrant, trapStation } from "./pieces";
import { Piping } from "./piping";

/** A drawn line to begin with, by the kind of site. */
export interface LineTemplate {
  readonly id: string;
  readonly name: string;
  readonly says: string;
  /** What there are several of, and how many to begin with. */
  readonly many: string;
  readonly usual: number;
  readonly build: (count: number, head: Pick<Line, "id" | "name">) => Line;
}

const FORMAT = { format: "loftbell.line", version: 1 } as const;
const WIDE = 300;

const hydrantMain: LineTemplate = {
  id: "hydrant-main",
  name: "Hydrants on a street main",
  says: "A main with a section valve before each hydrant, every hydrant behind its own street valve.",
  many: "hydrants",
  usual: 4,
  build(count, head) {
    const piping = new Piping({ ...FORMAT, ...head, medium: "water", rule: "single", rating_bar: 16 });
    let at = piping.put("source", "S", [0, 0], 2, { name: "Town main", pressure_bar: 4 });
    for (let index = 0; index < count; index++) {
      const next = piping.put("junction", "J", [(index + 1) * WIDE, 0], 2);
      piping.valve(at, next, `Section valve ${index + 1}`, { type: "gate", access_min: 6 });
      hydrant.put(piping, next);
      at = next;
    }
    const end = piping.put("drain", "D", [(count + 0.6) * WIDE, 0], 1.8, { name: "End of main, flush" });
    piping.pipe(at, end, 100, 20);
    return piping.done();
  },
};

const steamTraps: LineTemplate = {
  id: "steam-traps",
  name: "Steam header with traps",
  says: "A boiler, a header, and traps each between two stops with a bleed; condensate goes back.",
  many: "traps",
  usual: 3,
  build(count, head) {
    const piping = new Piping({
      ...FORMAT,
      ...head,
      medium: "steam",
      rule: "double-block-and-bleed",
      rating_bar: 10,
    });
    const boiler = piping.put("vessel", "BLR", [0, 0], 2, {
      name: "Boiler",
      temperature_C: 165,
      pressure_bar: 6,
      volume_L: 1500,
    });
    const relief = piping.put("relief", "RV", [0, -110], 2.8, { name: "Safety valve" });
    piping.pipe(boiler, relief, 50, 0.5);
    let at = piping.put("junction", "J", [WIDE, 0], 2.6);
    piping.valve(boiler, at, "Crown valve", { type: "globe" });
    const user = piping.put("consumer", "C", [(count + 1.8) * WIDE, 0], 2.6, { name: "Steam user" });
    let back = piping.put("boundary", "CR", [0, 500], 0.5, {
      name: "Condensate return",
      medium: "condensate",
      temperature_C: 90,
    });
    for (let index = 0; index < count; index++) {
      const next = piping.put("junction", "J", [(index + 1.6) * WIDE, 0], 2.6);
      piping.pipe(at, next, 80, 4);
      const after = trapStation.put(piping, next);
      const join = piping.put("junction", "J", [(index + 1.6) * WIDE, 500], 0.8, { medium: "condensate" });
      const bleed = piping.put("vent", "B", [(index + 2) * WIDE, 430], 1, {
        name: "Bleed",
        medium: "condensate",
      });
      const between = piping.put("junction", "J", [(index + 1.6) * WIDE, 430], 0.9, { medium: "condensate" });
      piping.valve(after, between, "Trap outlet", { medium: "condensate" });
      piping.pipe(between, bleed, 15, 0.3, "condensate");
      piping.valve(between, join, "Return stop", { type: "gate", medium: "condensate" });
      piping.pipe(join, back, 40, 6, "condensate");
      [at, back] = [next, join];
    }
    piping.valve(at, user, "User’s stop", { type: "globe" });
    return piping.done();
  },
};

const hotAndCold: LineTemplate = {
  id: "hot-and-cold",
  name: "Mixing valves on hot and cold",
  says: "A cold intake, a calorifier, and mixing valves with stops and checks on either side, and their power.",
  many: "mixing valves",
  usual: 2,
  build(count, head) {
    const piping = new Piping({ ...FORMAT, ...head, medium: "water", rule: "single", rating_bar: 10 });
    const main = piping.put("source", "S", [0, 360], 1, {
      name: "Cold main",
      stream: "cold",
      temperature_C: 11,
      pressure_bar: 4,
    });
    const heater = piping.put("vessel", "CAL", [0, 0], 1.4, {
      name: "Calorifier",
      stream: "hot",
      temperature_C: 60,
      volume_L: 500,
    });
    const feed = piping.put("junction", "J", [0, 180], 1.2, { stream: "cold" });
    let cold = piping.put("junction", "J", [WIDE, 360], 1.2, { stream: "cold" });
    let hot = piping.put("junction", "J", [WIDE, 0], 2.4, { stream: "hot" });
    const board = piping.put("source", "EB", [0, 560], 1.6, {
      name: "Distribution board",
      medium: "electricity",
    });
    piping.valve(main, cold, "Cold intake", { type: "gate" });
    piping.valve(cold, feed, "Calorifier feed");
    piping.check(feed, heater);
    piping.valve(heater, hot, "Hot outlet");
    for (let index = 0; index < count; index++) {
      const x = (index + 2) * WIDE;
      const [coldAt, hotAt] = [
        piping.put("junction", "J", [x, 360], 1.2, { stream: "cold" }),
        piping.put("junction", "J", [x, 0], 2.4, { stream: "hot" }),
      ];
      piping.pipe(cold, coldAt, 42, 8);
      piping.pipe(hot, hotAt, 42, 8);
      const coldIn = piping.put("junction", "J", [x, 270], 1.4, { stream: "cold" });
      const hotIn = piping.put("junction", "J", [x, 90], 1.5, { stream: "hot" });
      const power = piping.put("consumer", "ME", [x, 560], 1.4, {
        name: `Power of mixer ${index + 1}`,
        medium: "electricity",
      });
      const mixer = piping.put("junction", "MX", [x, 180], 1.4, {
        name: `Mixing valve ${index + 1}`,
        stream: "mixed",
        with: [power],
      });
      const outlet = piping.put("consumer", "C", [x + 170, 180], 2.2, { name: `Showers ${index + 1}` });
      const drain = piping.put("drain", "D", [x - 90, 230], 1.1, { name: "Drain" });
      piping.valve(hotAt, hotIn, "Hot to mixer", { access_min: 1 });
      piping.check(hotIn, mixer);
      piping.valve(coldAt, coldIn, "Cold to mixer", { access_min: 1 });
      piping.check(coldIn, mixer);
      piping.pipe(mixer, drain, 15, 0.3);
      piping.valve(mixer, outlet, "Mixed outlet", { access_min: 1, stream: "mixed" });
      piping.valve(
        board,
        power,
        "Socket of the mixer",
        { type: "switch", medium: "electricity", access_min: 1 },
        "Q-",
      );
      [cold, hot] = [coldAt, hotAt];
    }
    return piping.done();
  },
};

const gasMeters: LineTemplate = {
  id: "gas-meters",
  name: "Gas to houses, with meters",
  says: "A kerb valve, a service pipe, and for each house its meter cock, meter, boiler and cooker.",
  many: "houses",
  usual: 3,
  build(count, head) {
    const piping = new Piping({ ...FORMAT, ...head, medium: "gas", rule: "single", rating_bar: 0.1 });
    const main = piping.put("source", "S", [0, 0], -1, { name: "Street main", pressure_bar: 0.025 });
    let at = piping.put("junction", "J", [160, 0], -0.8);
    piping.valve(main, at, "Kerb valve", { type: "plug", access_min: 8 }, "KV-");
    for (let index = 0; index < count; index++) {
      const next = piping.put("junction", "J", [320, index * 190], 0.2);
      piping.pipe(at, next, 32, 8);
      houseMeter.put(piping, next);
      at = next;
    }
    return piping.done();
  },
};

const beds: LineTemplate = {
  id: "beds",
  name: "Beds with pit valves",
  says: "A main stop, a controller, and a pit valve with its own stop for every bed.",
  many: "beds",
  usual: 4,
  build(count, head) {
    const piping = new Piping({ ...FORMAT, ...head, medium: "water", rule: "single", rating_bar: 10 });
    const main = piping.put("source", "S", [0, 0], 6, { name: "Garden main", pressure_bar: 4 });
    let at = piping.put("junction", "J", [180, 0], 6);
    piping.valve(main, at, "Main stop", { type: "gate" });
    const control = piping.put("source", "EC", [0, 420], 6, { name: "Controller", medium: "electricity" });
    const strip = piping.put("junction", "J", [180, 420], 6, { medium: "electricity" });
    piping.valve(control, strip, "Controller isolator", { type: "switch", medium: "electricity" }, "Q-");
    for (let index = 0; index < count; index++) {
      const next = piping.put("junction", "J", [360 + index * 200, 0], 6);
      piping.pipe(at, next, 50, 20);
      const stands = bed.put(piping, next);
      const coil = piping.put("consumer", "DE", [360 + index * 200, 420], 6, {
        name: `Coil ${index + 1}`,
        medium: "electricity",
      });
      piping.cable(strip, coil);
      piping.tie(stands, coil);
      at = next;
    }
    const end = piping.put("drain", "D", [400 + count * 200, 0], 5, { name: "End of main, flush" });
    piping.pipe(at, end, 40, 8);
    return piping.done();
  },
};

const treatment: LineTemplate = {
  id: "treatment",
  name: "Water treatment with a bypass",
  says: "Softeners or filters one behind the other, each with inlet, outlet, bypass, drain and its power.",
  many: "units",
  usual: 1,
  build(count, head) {
    const piping = new Piping({ ...FORMAT, ...head, medium: "water", rule: "single", rating_bar: 10 });
    const main = piping.put("source", "S", [0, 0], 1, { name: "Mains intake", pressure_bar: 4 });
    const board = piping.put("source", "EB", [0, 300], 1.6, {
      name: "Distribution board",
      medium: "electricity",
    });
    let at = piping.put("junction", "J", [160, 0], 1);
    piping.valve(main, at, "Intake stop", { type: "gate" });
    for (let index = 0; index < count; index++) {
      const x = 320 + index * 520;
      const before = piping.put("junction", "J", [x + 100, 100], 1);
      const power = piping.put("consumer", "UE", [x + 200, 300], 1.6, {
        name: `Power of unit ${index + 1}`,
        medium: "electricity",
      });
      const unit = piping.put("junction", "U", [x + 200, 100], 1, {
        name: `Unit ${index + 1}`,
        with: [power],
      });
      const after = piping.put("junction", "J", [x + 300, 100], 1);
      const drain = piping.put("drain", "D", [x + 200, 200], 0.4, { name: "To drain" });
      const next = piping.put("junction", "J", [x + 400, 0], 1);
      piping.valve(at, before, "Inlet");
      piping.pipe(before, unit, 25, 0.5);
      piping.pipe(unit, after, 25, 0.5);
      piping.pipe(unit, drain, 15, 1);
      piping.valve(after, next, "Outlet");
      piping.valve(at, next, "Bypass", { normally: "shut", bypass: true });
      piping.valve(
        board,
        power,
        "Socket of the unit",
        { type: "switch", medium: "electricity", access_min: 1 },
        "Q-",
      );
      at = next;
    }
    const user = piping.put("consumer", "C", [320 + count * 520, 0], 1, { name: "House" });
    piping.pipe(at, user, 28, 6);
    return piping.done();
  },
};

const booster: LineTemplate = {
  id: "booster",
  name: "Booster pumps with check valves",
  says: "Pumps side by side, each between its stops with a check valve behind it, and its isolator.",
  many: "pumps",
  usual: 2,
  build(count, head) {
    const piping = new Piping({ ...FORMAT, ...head, medium: "water", rule: "single", rating_bar: 16 });
    const main = piping.put("source", "S", [0, 0], 1, { name: "Tank", pressure_bar: 0.5 });
    const suction = piping.put("junction", "J", [170, 0], 1);
    const delivery = piping.put("junction", "J", [960, 0], 1);
    const user = piping.put("consumer", "C", [1180, 0], 12, { name: "Buildings" });
    const board = piping.put("source", "EB", [0, 150 * count + 160], 1.6, {
      name: "Pump board",
      medium: "electricity",
    });
    piping.valve(main, suction, "Tank outlet", { type: "gate" });
    piping.valve(delivery, user, "Delivery stop", { type: "gate" });
    for (let index = 0; index < count; index++) {
      const y = index * 150;
      const power = piping.put("consumer", "PE", [500, 150 * count + 80 + index * 90], 1.4, {
        name: `Motor ${index + 1}`,
        medium: "electricity",
      });
      const before = piping.put("junction", "J", [340, y], 1);
      const after = piping.put("junction", "J", [500, y], 1);
      const stands = piping.put("junction", "K", [650, y], 1, { name: `Check valve ${index + 1}` });
      const behind = piping.put("junction", "J", [800, y], 1);
      const drain = piping.put("drain", "D", [650, y + 70], 0.6, { name: "Drain" });
      piping.valve(suction, before, "Suction stop");
      piping.pump(before, after, `Pump ${index + 1}`, power);
      piping.pipe(after, stands, 50, 0.3);
      piping.pipe(stands, drain, 15, 0.3);
      piping.check(stands, behind);
      piping.valve(behind, delivery, "Delivery stop of the pump");
      piping.valve(board, power, "Isolator", { type: "switch", medium: "electricity", access_min: 1 }, "Q-");
    }
    return piping.done();
  },
};

/** Every template, in the order they are offered. */
export const LINE_TEMPLATES: readonly LineTemplate[] = [
  hydrantMain,
  steamTraps,
  hotAndCold,
  gasMeters,
  beds,
  treatment,
  booster,
];
