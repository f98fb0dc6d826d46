import { describe, expect, it } from "vitest";
import type { Instrument } from "../formats";
import { type Connected, type Heard, hear, lost, NOTHING_HEARD, offerOf, readLine } from ".";

const NOW = Date.parse("2026-06-01T09:00:00Z");
const WANTED = { dimension: "gauge pressure" } as const;
const REGISTER: readonly Instrument[] = [
  {
    id: "IN-01",
    name: "Test gauge",
    kind: "gauge",
    serial: "QG-1",
    calibrated: "2026-01-14",
    every_months: 12,
  },
  {
    id: "IN-02",
    name: "Old gauge",
    kind: "gauge",
    serial: "QG-2",
    calibrated: "2024-01-14",
    every_months: 12,
  },
  { id: "IN-03", name: "New gauge", kind: "gauge", serial: "QG-3", every_months: 12 },
  { id: "IN-04", name: "Put aside", kind: "gauge", serial: "QG-4", out: "2026-02-01" },
];

const helloOf = (serial: string, high = 16) => ({
  say: "hello",
  v: 1,
  kind: "gauge",
  serial,
  name: `gauge ${serial}`,
  every_s: 1,
  reads: [{ what: "gauge pressure", unit: "bar g", low: -1, high }],
});
const readingOf = (n: number, value: number | null, more = {}) => ({
  say: "reading",
  n,
  what: "gauge pressure",
  value,
  unit: "bar g",
  ...more,
});

/** What was heard of lines, the last of them so many seconds ago. */
const heardOf = (lines: readonly unknown[], ago_s = 0): Heard =>
  lines.reduce<Heard>(
    (heard, line) =>
      hear(heard, readLine(typeof line === "string" ? line : JSON.stringify(line)), NOW - ago_s * 1000),
    NOTHING_HEARD,
  );
const connected = (heard: Heard, by: Connected["by"] = "socket"): Connected => ({
  by,
  name: "a plug",
  heard,
});
const offer = (heard: Heard, beside: readonly Connected[] = []) =>
  offerOf(connected(heard), WANTED, REGISTER, beside, NOW);
const good = (serial = "QG-1", value = 0.4) => heardOf([helloOf(serial), readingOf(1, value)]);

describe("what an instrument has for a field", () => {
  it("a figure with its unit, the instrument, its serial, calibration and time", () => {
    expect(offer(good())).toEqual({
      kind: "reading",
      name: "gauge QG-1",
      serial: "QG-1",
      si: 0.4e5,
      value: 0.4,
      unit: "bar g",
      doubts: [],
      taken: {
        kind: "gauge",
        name: "gauge QG-1",
        serial: "QG-1",
        by: "socket",
        at: "2026-06-01T09:00:00.000Z",
        read: "0.4 bar g",
        registered: "IN-01",
        calibrated: "2026-01-14",
        until: "2027-01-14",
      },
    });
  });

  it.each([
    ["one that never said who it is", heardOf([readingOf(1, 0.4)]), { kind: "not-introduced" }],
    ["one that said nothing of this yet", heardOf([helloOf("QG-1")]), { kind: "nothing-yet" }],
    ["one that was unplugged", lost(good(), NOW - 9000), { kind: "gone", since_s: 9 }],
    [
      "one that says that it goes",
      heardOf([helloOf("QG-1"), readingOf(1, 0.4), { say: "gone", why: "switched off" }]),
      { kind: "gone", since_s: 0, why: "switched off" },
    ],
    ["one that is silent", heardOf([helloOf("QG-1"), readingOf(1, 0.4)], 10), { kind: "stale", since_s: 10 }],
    [
      "one that says the same line over and over",
      heardOf([helloOf("QG-1"), ...Array.from({ length: 4 }, () => readingOf(1, 0.4))]),
      { kind: "frozen", since_s: 0 },
    ],
    [
      "garbage",
      heardOf([helloOf("QG-1"), readingOf(1, 0.4), '{"say":"rea']),
      { kind: "garbage", fault: { kind: "no-json" } },
    ],
    [
      "more than it can show",
      heardOf([helloOf("QG-1"), readingOf(1, null)]),
      { kind: "out-of-range", low: -1e5, high: 16e5, unit: "bar g" },
    ],
    [
      "a figure beyond its range",
      heardOf([helloOf("QG-1"), readingOf(1, 17)]),
      { kind: "out-of-range", low: -1e5, high: 16e5, unit: "bar g" },
    ],
    ["one that the register has put aside", good("QG-4"), { kind: "out-of-use", since: "2026-02-01" }],
  ])("nothing of %s, and why", (_, heard, why) => {
    expect(offer(heard)).toMatchObject({ kind: "none", why });
  });

  it.each([
    ["whose calibration ran out", "QG-2", { kind: "calibration-over", until: "2025-01-14" }],
    ["that was never calibrated", "QG-3", { kind: "never-calibrated" }],
    ["that the register does not know", "XX-9", { kind: "not-registered" }],
  ])("the figure of one %s is marked", (_, serial, doubt) => {
    expect(offer(good(serial))).toMatchObject({ kind: "reading", doubts: [doubt] });
  });

  it("a calibration holds to the end of the day before it runs out", () => {
    const on = (day: string) =>
      offerOf(
        connected(hear(good(), readLine(JSON.stringify(readingOf(2, 0.4))), Date.parse(day))),
        WANTED,
        REGISTER,
        [],
        Date.parse(day),
      );
    expect(on("2027-01-13T23:59:00Z")).toMatchObject({ doubts: [] });
    expect(on("2027-01-14T00:01:00Z")).toMatchObject({ doubts: [{ kind: "calibration-over" }] });
  });

  it("a low battery and a simulated instrument are said", () => {
    const heard = heardOf([helloOf("QG-1"), { say: "battery", percent: 7 }, readingOf(1, 0.4)]);
    expect(offerOf(connected(heard, "simulated"), WANTED, REGISTER, [], NOW)).toMatchObject({
      doubts: [{ kind: "simulated" }, { kind: "battery-low", percent: 7 }],
    });
  });

  it("two that show otherwise than their class allows are set against each other; one that is gone is not", () => {
    const [one, near, far] = [good("QG-1", 4), good("QG-2", 4.4), good("QG-2", 4.6)];
    const beside = (other: Heard) => offer(one, [connected(other)]);
    expect(beside(near)).toMatchObject({ doubts: [] });
    expect(beside(far)).toMatchObject({
      doubts: [{ kind: "differs", from: "gauge QG-2", shows: "4.6 bar g" }],
    });
    expect(beside(lost(far, NOW))).toMatchObject({ doubts: [] });
  });

  it("comes back with its first good line, and another one at the plug is another one", () => {
    const back = hear(lost(good(), NOW - 5000), readLine(JSON.stringify(readingOf(9, 0.1))), NOW);
    expect(offer(back)).toMatchObject({ kind: "reading", value: 0.1 });
    const other = hear(good(), readLine(JSON.stringify(helloOf("QG-2"))), NOW);
    expect(offer(other)).toMatchObject({ kind: "none", why: { kind: "nothing-yet" } });
  });

  it("of a wrench the click counts, not what it shows when the hand has let go", () => {
    const heard = heardOf([
      helloOf("QG-1"),
      readingOf(1, 3),
      readingOf(2, 8, { peak: true }),
      readingOf(3, 0),
    ]);
    expect(offer(heard)).toMatchObject({ kind: "reading", value: 8 });
  });

  it("ppm and % LEL of one monitor are two things", () => {
    const monitor = heardOf([
      {
        ...helloOf("QG-1"),
        kind: "gas-monitor",
        reads: [
          { what: "number", unit: "ppm", low: 0, high: 500 },
          { what: "number", unit: "% LEL", low: 0, high: 100 },
        ],
      },
      readingOf(1, 18, { what: "number", unit: "ppm" }),
      readingOf(1, 3, { what: "number", unit: "% LEL" }),
    ]);
    const of = (unit: string) =>
      offerOf(connected(monitor), { dimension: "number", unit }, REGISTER, [], NOW);
    expect(of("ppm")).toMatchObject({ value: 18 });
    expect(of("% LEL")).toMatchObject({ value: 3 });
  });
});
