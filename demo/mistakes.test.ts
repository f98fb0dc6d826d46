import { describe, expect, it } from "vitest";
import { calculatorNamed } from "@/core/calculators";
import { all } from "./practice/all.fixtures";
import { type Shown, testedIn } from "./practice/shown.fixtures";

const {
  wetBarrel,
  dryBarrel,
  assist,
  checkValve,
  airValve,
  servo,
  regulating,
  co2Stop,
  relief,
  shuttle,
  spool,
} = all;
const { preAction, apparatus, pit, pilot, meterCock, softener, treatment, trap, radiator } = all;

/** Where the first card of this kind stands, or behind all. */
const first = (on: Shown, ...kinds: readonly string[]) => {
  const at = on.cards().findIndex(({ kind }) => kinds.includes(kind));
  return at < 0 ? Number.POSITIVE_INFINITY : at;
};
const means = (on: Shown, check: string, given: string) => expect(on.answer(check, given).means).toBe("stop");

interface Mistake {
  readonly rank: number;
  readonly what: string;
  /** When it is prevented, at the earliest. */
  readonly moment: string;
  readonly prevented: () => void;
}

const mistake = (rank: number, what: string, moment: string, prevented: () => void): Mistake => ({
  rank,
  what,
  moment,
  prevented,
});

/** The costliest mistakes, harm to people first, and the moment at which each is made impossible. */
const MISTAKES: readonly Mistake[] = [
  mistake(
    1,
    "A body opened that still holds pressure",
    "zero proven twice, and again at the first crack",
    () => {
      for (const on of [wetBarrel, trap, airValve, shuttle, spool, co2Stop])
        expect(first(on, "gauge")).toBeLessThan(first(on, "crack", "strip"));
      wetBarrel.inOrder(["prove:again", "crack:gland-bolts", "strip:gland-bolts"]);
    },
  ),
  mistake(
    2,
    "Refrigerant left in a shut section",
    "liquid out at the lowest point, an hour's hold, from the start if it rises",
    () => {
      co2Stop.inOrder(["drain:LP", "prove:gauge", "prove:hold", "prove:again"], "open");
      testedIn("src/core/job/clock.test.ts", "prove:hold");
    },
  ),
  mistake(3, "Live electricity, a meter not fit for it", "at the tools and at the isolator", () => {
    pilot.inOrder(["shut:MG-Q1", "prove:dead:P1E", "check:coil"], "due");
    expect(pilot.sums(pilot.card("shut", "MG-Q1", "due"), "due")).toContain("meter-fitness");
    servo.inOrder(["shut:LY-Q1", "prove:dead:W1E", "strip:coil"], "due");
  }),
  mistake(
    4,
    "Fire protection left shut, impaired or untested",
    "a clock from the start, ended by proof alone",
    () => {
      preAction.inOrder(["check:trip", "check:reset", "open:FS-V1", "restore:tell", "sign-off"], "due");
      testedIn("src/core/job/bells.test.ts", "a hydrant out of service: a watch");
    },
  ),
  mistake(
    5,
    "A gas cock turned while something burns, its core broken out",
    "the dial seen still before each swing; the pin drawn",
    () => {
      meterCock.inOrder([
        "check:dial",
        "check:dial-half",
        "task:half-circle",
        "check:dial-back",
        "task:back",
      ]);
      means(meterCock, "dial-half", "moves");
      expect(meterCock.part("port-a").ways[0]?.grip?.keepOff?.why).toMatch(/pin/);
    },
  ),
  mistake(
    6,
    "Old packing ground to dust",
    "a year of building-in before which nobody goes on without papers",
    () => {
      radiator.inOrder(["check:asbestos", "prepare:tools"]);
      testedIn("src/core/job/away.test.ts", "old packing without papers is not touched");
    },
  ),
  mistake(
    7,
    "A relief valve adjusted, lifted, overdue or wrong",
    "due by date and by lift; set and capacity before it goes in",
    () => {
      relief.inOrder(["check:set-pressure", "check:capacity", "fit:valve"]);
      means(relief, "set-pressure", "above");
      means(relief, "capacity", "small");
    },
  ),
  mistake(
    8,
    "Its shipping cap left in, a bad discharge, a stop before it",
    "before and after it goes in",
    () => {
      relief.inOrder(["check:place", "check:discharge", "fit:valve", "check:caps"]);
      for (const [check, given] of [
        ["caps", "on"],
        ["place", "no-go"],
        ["discharge", "no-go"],
      ] as const)
        means(relief, check, given);
    },
  ),
  mistake(9, "The wrong order or speed as it comes back", "ordered cards with gates", () => {
    co2Stop.inOrder(["restore:charge", "restore:gate", "open:GC-F1"], "open");
    shuttle.inOrder(["open:LD-W22", "open:LD-W23", "check:mixed-temp", "open:LD-W24"], "due");
    airValve.inOrder(["restore:slow", "open:MG-K1", "check:closing"]);
  }),
  mistake(10, "A part backwards or upside down", "a photograph before, an answer as it goes in", () => {
    dryBarrel.inOrder(["fit:main-seat", "check:seat-way"], "runs", { "seat-face": "cut" });
    assist.inOrder(["fit:clapper", "check:clapper-way"], "due");
    checkValve.inOrder(["mark:arrow", "fit:valve", "confirm:arrow"]);
    pit.inOrder(["fit:diaphragm", "check:tab"]);
  }),
  mistake(11, "Cracked or stripped by force", "the tool barred, the limit on the card", () => {
    expect(pit.card("fit", "bonnet-screws").forbidden).toContainEqual(
      expect.objectContaining({ tool: "power-driver" }),
    );
    expect(pit.card("tighten", "bonnet-screws").limit_Nm).toBe(2.8);
  }),
  mistake(
    12,
    "A piece left in, left out, counted wrong",
    "counted out and in; the tray does not close otherwise",
    () => {
      for (const on of [softener, spool, regulating]) expect(on.walked("due").job.tray.balances).toBe(true);
      testedIn("src/core/build/tray.test.ts", "balances");
    },
  ),
  mistake(
    13,
    "A look-alike, a kit of another generation",
    "in the kit list and by measure before it goes in",
    () => {
      expect(relief.card("kit").doNotTake.map(({ id }) => id)).toContain("PH-S1-28");
      expect(preAction.part("upper-diaphragm").lookAlikes?.length).toBeGreaterThan(0);
      apparatus.inOrder(["mark:stops", "crack:set-a"]);
    },
  ),
  mistake(14, "A part that cannot be had, lost or broken", "flagged as it comes off", () => {
    expect(regulating.part("strip").keep).toMatch(/no kit/);
    expect(radiator.sheet.parts.some(({ keep }) => keep !== undefined)).toBe(true);
    expect(pilot.part("fittings").keep).toBeDefined();
  }),
  mistake(15, "Grease where it must be dry, or the wrong one", "said and ticked at the part", () => {
    expect(wetBarrel.card("fit", "friction-ring", "weeps", { "disc-face": "catches" }).wipe).toBe(true);
    expect(apparatus.card("fit", "ball").rules).toContainEqual(
      expect.objectContaining({ kind: "stays-dry" }),
    );
    testedIn("src/core/build/fluids.test.ts", "acid has its end");
  }),
  mistake(
    16,
    "A good part condemned for a shut cock or a cold coil",
    "free looks first, the reading corrected",
    () => {
      pilot.inOrder(["check:cock", "check:wet", "check:coil"], "due");
      expect(pilot.sums(pilot.card("check", "coil", "due"), "due")).toContain("coil");
    },
  ),
  mistake(17, "A stack proud, deep or cocked", "its depth measured as it goes in", () =>
    testedIn("e2e/build.spec.ts", "counted in, its depth measured"),
  ),
  mistake(18, "A wire pulled, pinched, crossed or wet", "at the plug, at the bag, at the lid", () => {
    spool.inOrder(["mark:at:w-plus", "task:dry-bag", "confirm:at:w-plus", "task:cables", "fit:lid"], "due");
    spool.speaks(spool.card("strip", "board", "due"), /never by the wires/);
  }),
  mistake(19, "A set screw or locker wrong", "its end drawn, its thread clean, its cure waited for", () => {
    expect(assist.card("fit", "outlet-set").end.kind).toBe("flush");
    wetBarrel.inOrder(["rebuild:cure", "check:leak"]);
  }),
  mistake(20, "A sealing face scratched", "no steel among its tools", () => {
    expect(co2Stop.card("strip", "gasket", "open").tools.map(({ id }) => id)).toEqual(["scraper"]);
    expect(co2Stop.card("strip", "backup", "open").forbidden).toContainEqual(
      expect.objectContaining({ tool: "Steel pick" }),
    );
  }),
  mistake(21, "No mark of how it was", "noted and photographed before the first fastener", () => {
    for (const [on, id] of [
      [servo, "mark-line"],
      [apparatus, "handle"],
      [pilot, "hoses-photo"],
    ] as const)
      expect(on.card("mark", id, "due").photo).toBe(true);
  }),
  mistake(22, "No gasket in the hand with the lid off", "ticked before the trip", () => {
    trap.inOrder(["prepare:kit", "strip:top"]);
    testedIn("src/core/job/kit-lines.test.ts", "taken in the hand");
  }),
  mistake(23, "Dirt left, nothing flushed", "a flush with its time in the plan", () => {
    pit.inOrder(["check:flush", "fit:diaphragm", "check:zone-clear"]);
    airValve.inOrder(["task:wash-small", "fit:small-head"]);
  }),
  mistake(24, "Fingers in holes, weight unheld, a joint that springs", "before the first bolt", () => {
    checkValve.inOrder(["task:support", "crack:spool-bolts"]);
    expect(calculatorNamed("lift")).toBeDefined();
  }),
  mistake(25, "Closed without proof, tag or next date", "no signature without them", () => {
    for (const on of [softener, pilot, dryBarrel, relief, treatment]) {
      const cards = on.cards("due");
      expect(cards.some(({ phase }) => phase === "test")).toBe(true);
      expect(cards.findIndex(({ kind }) => kind === "tag")).toBeLessThan(
        cards.findIndex(({ kind }) => kind === "sign-off"),
      );
    }
  }),
];

describe("the twenty-five costliest mistakes", () => {
  it.each(MISTAKES.map((each) => [`${each.rank}. ${each.what}: ${each.moment}`, each] as const))(
    "%s",
    (_, each) => each.prevented(),
  );

  it("are all there, in their order", () =>
    expect(MISTAKES.map(({ rank }) => rank)).toEqual(Array.from({ length: 25 }, (_, index) => index + 1)));
});
