import { describe, expect, it } from "vitest";
import { answerDay, readRounds } from "../rounds";
import { twoCrews } from "../rounds/ask/ask.fixtures";
import type { Bring } from "./bring";
import { daySheet } from "./day-sheet";
import type { HouseAsked } from "./house-rounds";

const NONE: Bring = { kits: [], missing: [], supplies: [], tools: [], gear: [], locks: 0, tell: [] };
const wrench = { id: "wrench", name: "Torque wrench", least_Nm: 10, most_Nm: 100 };
/** The places of the question go by where they lie, as a house has them. */
const keyOf = new Map(twoCrews.places.map(({ id, lat, lon }) => [id, `${lat} ${lon}`]));
const question = {
  ...twoCrews,
  places: twoCrews.places.map((place) => ({ ...place, id: keyOf.get(place.id)! })),
  tasks: twoCrews.tasks.map((task) => ({ ...task, place: keyOf.get(task.place)! })),
  crews: twoCrews.crews.map((crew) => ({ ...crew, base: keyOf.get(crew.base)! })),
};
const brings: HouseAsked["brings"] = {
  "LD-M1 yearly": {
    ...NONE,
    kits: [{ name: "Seal kit", pieces: 1, place: "Van 1" }],
    supplies: ["Grease"],
    tools: [wrench],
    gear: ["Gloves"],
    locks: 2,
    tell: [{ name: "Pool", who: "Odile Brandt", phone: "555 01", days: 2 }],
  },
  "LD-T11 look": {
    ...NONE,
    kits: [{ name: "Seal kit", pieces: 2, place: "Van 1" }],
    missing: ["Capsule"],
    supplies: ["Grease"],
    tools: [wrench],
    gear: ["Gloves", "Goggles"],
    locks: 1,
  },
  "NQ-H07 disc": { ...NONE, locks: 3 },
  "NQ-H10 seat": { ...NONE, locks: 4 },
};
const work = (tag: string, lost: readonly string[]) => ({
  tag,
  name: `Valve ${tag}`,
  place: "There",
  what: "Look",
  why: "",
  due: 0,
  minutes: 60,
  long: { compiled: 60, jobs: 0, by: {} },
  needs: [],
  people: 1,
  lost,
  apart: [],
});
const asked: HouseAsked = {
  at: 0,
  weeks: [],
  crews: [{ id: "Isla and Tam", people: ["Isla Venn", "Tam Arkle"], skills: [] }],
  question,
  works: Object.fromEntries(
    twoCrews.tasks.map(({ id }) => [id, work(id, id.startsWith("LD-M1") ? ["Pool", "Showers"] : [])]),
  ),
  joint: [],
  not: [],
  begun: [],
  brings,
};
const read = readRounds(question);
const answer = answerDay(question);
if (!read.ok || !answer.ok) throw new Error("the question cannot be asked");
const shift = answer.value.shifts.find(({ visits }) => visits.some(({ task }) => task === "LD-M1 yearly"))!;
const sheet = daySheet(asked, read.value, shift);

describe("one crew's day", () => {
  it("has its stops in the order they are begun, each with its stretches, and where they lie", () => {
    expect(sheet.stops.map(({ order }) => order)).toEqual(sheet.stops.map((_, at) => at + 1));
    const mixer = sheet.stops.find(({ tag }) => tag === "LD-M1 yearly")!;
    expect(mixer.parts).toHaveLength(2);
    expect(mixer.spot).toEqual({ lat: 57.101, lon: 2.3 });
    expect(sheet.people).toEqual(["Isla Venn", "Tam Arkle"]);
    expect(sheet.back).toBe(Date.parse(shift.back));
  });

  it("drives as far as its shift, each way just before what it leads to", () => {
    const km = sheet.legs.reduce((sum, leg) => sum + leg.km, 0);
    expect(km).toBeCloseTo(shift.km, 1);
    expect(sheet.legs.at(-1)!.to).toBe(sheet.back);
    for (const { from, to } of sheet.legs) expect(to).toBeGreaterThan(from);
  });

  it("takes each thing along once, for all that want it, and says what no place has", () => {
    const both = ["LD-M1 yearly", "LD-T11 look"];
    expect(sheet.kits).toEqual([{ name: "Seal kit", place: "Van 1", pieces: 3, for: both }]);
    expect(sheet.tools).toEqual([{ tool: wrench, for: both }]);
    expect(sheet.supplies).toEqual([{ name: "Grease", for: both }]);
    expect(sheet.gear.map(({ name }) => name)).toEqual(["Gloves", "Goggles"]);
    expect(sheet.missing).toEqual([{ name: "Capsule", for: ["LD-T11 look"] }]);
  });

  it("counts the locks that hang at a time: what is done in the wait of another with those of the other", () => {
    expect(sheet.locks).toBeGreaterThanOrEqual(3);
    expect(sheet.locks).toBeLessThanOrEqual(4);
  });

  it("tells whom the line names, and all others who go without in one line, from when to when", () => {
    const mixer = sheet.stops.find(({ tag }) => tag === "LD-M1 yearly")!;
    const span = { tags: ["LD-M1 yearly"], from: mixer.parts[0]!.from, to: mixer.parts[1]!.to };
    expect(sheet.tell).toEqual([
      {
        names: ["Pool"],
        who: "Odile Brandt",
        phone: "555 01",
        days: 2,
        by: span.from - 2 * 86_400_000,
        ...span,
      },
      { names: ["Showers"], ...span },
    ]);
  });
});
