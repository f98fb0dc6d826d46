import { describe, expect, it } from "vitest";
import type { TakenWith } from "../formats";
import { refuseHandedOver } from "./handed-over";

const ENDED = Date.parse("2027-03-01T09:00:00Z");
const shown: TakenWith = {
  kind: "multimeter",
  name: "Multimeter",
  serial: "MM-1",
  by: "socket",
  at: "2027-03-01T08:30:00Z",
  read: "33 Ω",
};
const answers = (taken: Partial<TakenWith>, reading = "33 Ω") => [
  { look: "click", answer: "silent" },
  { look: "coil", typed: { reading }, with: { reading: { ...shown, ...taken } } },
];
const why = (all: ReturnType<typeof answers>, sheet = { demonstration: false }) =>
  refuseHandedOver(all, sheet, ENDED).map(({ path, message }) => `${path}: ${message}`);

describe("what an instrument handed over to a case", () => {
  it("is taken as it showed it, however long the looking went on", () => {
    expect(why(answers({}))).toEqual([]);
    expect(why(answers({ at: "2027-02-28T20:00:00Z" }))).toEqual([]);
  });

  it.each([
    ["written down otherwise", answers({}, "3.3 Ω"), /^\/answers\/1\/typed\/reading: .* showed 33 Ω/],
    ["read after the end", answers({ at: "2027-03-01T09:01:00Z" }), /after the case/],
    ["of a model, on a real valve", answers({ by: "simulated" }), /proves nothing on a real valve/],
  ])("%s is refused at its field", (_, all, said) => {
    expect(why(all)).toEqual([expect.stringMatching(said)]);
  });

  it("of a model is taken on a sheet for demonstration", () => {
    expect(why(answers({ by: "simulated" }), { demonstration: true })).toEqual([]);
  });
});
