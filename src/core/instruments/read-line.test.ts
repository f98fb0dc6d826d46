import * as fc from "fast-check";
import { describe, expect, it } from "vitest";
import { readLine } from ".";

const hello = {
  say: "hello",
  v: 1,
  kind: "gauge",
  serial: "QG-1",
  name: "Test gauge",
  every_s: 1,
  reads: [{ what: "gauge pressure", unit: "bar g", low: -1, high: 16 }],
};
const reading = { say: "reading", n: 3, what: "gauge pressure", value: 0.4, unit: "bar g" };
const read = (line: unknown) => readLine(JSON.stringify(line));

describe("a line of an instrument", () => {
  it("gives its figures in SI, as it shows them and what it is", () => {
    expect(read(hello)).toEqual({
      ok: true,
      value: {
        say: "hello",
        kind: "gauge",
        serial: "QG-1",
        name: "Test gauge",
        every_s: 1,
        reads: [{ dimension: "gauge pressure", unit: "bar g", low: -1e5, high: 16e5 }],
      },
    });
    expect(read(reading)).toMatchObject({ ok: true, value: { si: 0.4e5, value: 0.4, unit: "bar g", n: 3 } });
    expect(read({ ...reading, what: "temperature", value: 20, unit: "°C" })).toMatchObject({
      value: { dimension: "temperature", si: 293.15 },
    });
  });

  it("a figure that is over its range is none, and a number keeps a unit that no table has", () => {
    expect(read({ ...reading, value: null })).toMatchObject({ ok: true, value: { si: undefined } });
    expect(read({ ...reading, what: "number", value: 12, unit: "% LEL" })).toMatchObject({
      value: { dimension: "number", si: 12, unit: "% LEL" },
    });
  });

  it.each([
    ["what is no JSON", '{"say":"reading"', { kind: "no-json" }],
    ["a word nobody knows", '{"say":"shout"}', { kind: "no-such-word", word: "shout" }],
    ["a list", "[1,2]", { kind: "no-such-word", word: "" }],
    ["a word of every object", '{"say":"toString"}', { kind: "no-such-word", word: "toString" }],
    [
      "a field that is missing",
      JSON.stringify({ ...reading, n: undefined }),
      { kind: "wrong-field", path: "/n" },
    ],
    [
      "a figure in words",
      JSON.stringify({ ...reading, value: "0.4" }),
      { kind: "wrong-field", path: "/value" },
    ],
    [
      "a kind nobody knows",
      JSON.stringify({ ...hello, kind: "crystal" }),
      { kind: "wrong-field", path: "/kind" },
    ],
    ["a newer protocol", JSON.stringify({ ...hello, v: 2 }), { kind: "newer-protocol", version: 2 }],
    [
      "a measure nobody knows",
      JSON.stringify({ ...reading, what: "mood" }),
      { kind: "no-such-measure", what: "mood" },
    ],
    [
      "a unit of another measure",
      JSON.stringify({ ...reading, unit: "°C" }),
      { kind: "no-such-unit", unit: "°C", what: "gauge pressure" },
    ],
    ["more than a line", "x".repeat(2001), { kind: "too-long", letters: 2001 }],
  ])("%s is said to be none", (_, text, fault) => {
    expect(readLine(text)).toEqual({ ok: false, error: fault });
  });

  it("whatever comes in, it is understood or said not to be", () => {
    fc.assert(
      fc.property(fc.oneof(fc.string(), fc.json()), (text) => {
        const made = readLine(text);
        return made.ok || typeof made.error.kind === "string";
      }),
    );
  });

  it("what a later version adds is passed over", () => {
    expect(read({ ...reading, mood: "fine" }).ok).toBe(true);
  });
});
