import { waterBulkModulus } from "../../physics";
import { formatDuration } from "../../quantity";
import { err, ok } from "../../result";
import { trendOf } from "../../statistics";
import { calculator } from "../calculator";
import {
  AIR_ON_SITE,
  CONTENT,
  choice,
  DIFFERENCE,
  FLOW,
  gaugeField,
  KELVIN,
  MINUTES,
  measured,
  PERCENT,
  result,
  temperatureField,
} from "../fields";

const temperature = (label: string) =>
  temperatureField(label, {
    help: "Of the pipe wall; without both nothing is put down to it.",
    optional: true,
    least: KELVIN - 60,
    most: KELVIN + 120,
  });

/** Taken for water whose temperature was not read, K. */
const ROOM_K = KELVIN + 15;

/** Calculation 15: leak rate from a pressure that falls. */
export const decayTest = calculator({
  id: "decay-test",
  chapter: "Water and fire",
  title: "Pressure decay",
  says: "Leak rate from a pressure that falls in a shut section, with the temperature taken out; how long to wait for this gauge.",
  words: [
    "decay",
    "tightness test",
    "pressure drop",
    "leak test",
    "hold",
    "how long to wait",
    "passes or not",
  ],
  inputs: {
    fill: choice("Filled with", "Gas gives, water hardly.", {
      gas: "air, nitrogen or gas",
      water: "water, with air left in it",
    }),
    volume: measured("Volume of the section", CONTENT, {
      help: "Drain-down works it out.",
      least: 1e-5,
      most: 10_000,
      usual: 0.02,
    }),
    trapped: measured("Air left in it", PERCENT, {
      help: "Share of the volume at the start; vented well: under 1 %.",
      least: 0,
      most: 0.5,
      usual: 0.005,
      when: { input: "fill", is: ["water"] },
    }),
    first: gaugeField("Gauge at the start", { least: 0, most: 5e7 }),
    firstTemperature: temperature("Temperature at the start"),
    middle: gaugeField("Gauge half-way", {
      help: "At half of the time; empty when it was not looked at. A line is laid through all readings.",
      least: 0,
      most: 5e7,
      optional: true,
    }),
    last: gaugeField("Gauge at the end", { least: 0, most: 5e7 }),
    lastTemperature: temperature("Temperature at the end"),
    time: measured("Time between", MINUTES, {
      help: "From the first look to the last.",
      least: 10,
      most: 864_000,
      usual: 600,
    }),
    allowed: measured("Leak allowed", FLOW, {
      help: "Gas: at the air's pressure. From the sheet or the code; without it nothing is passed.",
      least: 1e-11,
      most: 1,
      optional: true,
    }),
    resolution: measured("Gauge can be read to", DIFFERENCE, {
      help: "Half of its smallest mark.",
      least: 1,
      most: 1e6,
      usual: 1000,
    }),
    surroundings: AIR_ON_SITE,
  },
  outputs: {
    leak: result("Leak", FLOW),
    unsure: result("Give or take, by the gauge", FLOW),
    corrected: result("Fall that is left", DIFFERENCE),
    warming: result("Change by temperature alone", DIFFERENCE, "optional"),
    wait: result("Wait at least, to see the allowed leak", MINUTES, "optional"),
  },
  compute: (given, say) => {
    const { surroundings: air, volume, time, allowed, resolution, middle } = given;
    const [p1, p2] = [given.first + air, given.last + air];
    const gas = given.fill === "gas";
    const [first, second] = [given.firstTemperature, given.lastTemperature];
    const read = first !== undefined && second !== undefined;
    const t1 = first ?? ROOM_K;
    if (!gas && (t1 < KELVIN + 1 || t1 > KELVIN + 99))
      return err({ input: "firstTemperature", message: "Water is known here from 1 to 99 °C." });
    const warming = gas && read ? p1 * (second / first - 1) : 0;
    const trapped = volume * given.trapped;
    // What has left when the pressure is down to p. Gas counts at the air's pressure; trapped air takes the room that
    // water leaves (Boyle), and the water itself gives a little.
    const lost = gas
      ? (p: number) => (volume * (p1 - p)) / air
      : (p: number) => trapped * (p1 / p - 1) + (volume * (p1 - p)) / waterBulkModulus(t1);
    // Volume that must leave for the pressure to fall by one pascal.
    const give = (p: number) =>
      gas ? volume / air : (trapped * p1) / p ** 2 + volume / waterBulkModulus(t1);
    // What is left of each reading when the temperature is taken out; a line is laid through what has left.
    const half = middle === undefined ? undefined : middle + air - warming / 2;
    const end = p2 - warming;
    const fit = trendOf([
      { time: 0, value: 0 },
      ...(half === undefined ? [] : [{ time: 0.5, value: lost(half) }]),
      { time: 1, value: lost(end) },
    ]);
    const leak = (fit?.slope ?? 0) / time;
    const bent =
      half !== undefined && Math.abs(lost(half) - lost(end) / 2) > 3 * resolution * give((half + end) / 2);
    const unsure = (give(end) * 2 * resolution) / time;
    const wait = allowed === undefined ? undefined : (give(p1) * 3 * resolution) / allowed;
    const tooShort = allowed !== undefined && unsure > allowed;
    const rose = leak < -unsure;
    // Empty before somebody looked: it may have lost it in the first minute.
    const empty = given.first > 2 * resolution && given.last <= 2 * resolution;
    // A gas that warms hides what it loses.
    const unread = gas && !read;
    const undecided = allowed !== undefined && Math.abs(leak - allowed) < unsure;
    const over = allowed !== undefined && leak > allowed;
    const corrected = gas ? (leak * time * air) / volume : p1 - p2;
    return ok({
      outputs: { leak, unsure, corrected, ...(gas && read && { warming }), wait },
      verdict:
        empty || (!tooShort && !undecided && over)
          ? "fail"
          : allowed === undefined || tooShort || undecided || rose || bent || unread
            ? "watch"
            : "pass",
      reasons: [
        empty
          ? "It lost all its pressure, and nobody knows when: it leaks at least as fast as is said here. Not tight."
          : tooShort
            ? `Too short for this gauge to decide: wait ${formatDuration(wait ?? time)}, or take a finer gauge.`
            : undecided
              ? "So near the allowed leak that this gauge cannot tell: wait longer, or take a finer gauge."
              : over
                ? "It leaks more than allowed."
                : rose
                  ? "It rose: something passes in, or it warmed where you did not measure. Not proven tight."
                  : bent
                    ? "The readings do not lie on a line: it settles, or the temperature moved. Go on until they do."
                    : allowed === undefined
                      ? "What may leak was not said: this is how much it leaks, and no verdict."
                      : unread
                        ? `Within what is allowed, if the temperature held still: a kelvin moves this gauge by ${say(p1 / t1, DIFFERENCE)}. Read the wall at both ends.`
                        : "Within what is allowed.",
      ],
      cautions: [
        "Testing with air or gas stores energy: a cap becomes a shot. Water first, gas low, nobody in line.",
        ...(gas
          ? []
          : [
              "Water itself warms and presses hard: a kelvin in a full section hides a leak. Let it settle; the correction is for gas only.",
            ]),
      ],
    });
  },
  sources: [
    "Ideal gas: leak = V·(p₁·T₂/T₁ − p₂)/(p_air·t), absolute pressures. Water: bulk modulus of Kell (1975); trapped air by Boyle at even temperature, V·(p₁/p₂ − 1).",
  ],
  examples: [
    {
      source: "By hand: 20 L lose 0.1 bar in 10 min: 20·0.1/1.01325/10 = 0.1974 L/min of free air.",
      inputs: {
        first: "6 bar g",
        last: "5.9 bar g",
        firstTemperature: "15 °C",
        lastTemperature: "15 °C",
        allowed: "1 L/min",
      },
      outputs: { leak: "0.1974 ± 0.0001 L/min", corrected: "0.1 ± 1e-6 bar" },
      verdict: "pass",
    },
    {
      source:
        "By hand: 7.01325 bar cooled from 20 to 15 °C falls 7.01325·5/293.15 = 0.1196 bar: more than was lost.",
      inputs: {
        first: "6 bar g",
        last: "5.9 bar g",
        firstTemperature: "20 °C",
        lastTemperature: "15 °C",
        allowed: "1 L/min",
      },
      outputs: { warming: "-0.1196 ± 0.0001 bar", corrected: "-0.0196 ± 0.0001 bar" },
      verdict: "pass",
    },
    {
      source:
        "By hand, water with 1 % air at 7.01325 bar, 0.1 bar: 200·(7.01325/6.91325 − 1) + 20 000·0.1/21 790 = 2.893 + 0.092 = 2.985 mL.",
      inputs: {
        fill: "water",
        first: "6 bar g",
        last: "5.9 bar g",
        trapped: "1 %",
        firstTemperature: "20 °C",
        lastTemperature: "20 °C",
        time: "1 min",
      },
      outputs: { leak: "0.002985 ± 0.00001 L/min" },
    },
    {
      source:
        "Boyle, by hand: 5 L of air from 4.01325 to 1.01325 bar take 5·(4.01325/1.01325 − 1) = 14.80 L; the 10 L of water give 10·3/21 500 = 0.0014 L.",
      inputs: {
        fill: "water",
        volume: "10 L",
        trapped: "50 %",
        first: "3 bar g",
        last: "0 bar g",
        time: "10 min",
      },
      outputs: { leak: "1.4805 ± 0.0005 L/min" },
      verdict: "fail",
    },
    {
      source:
        "By hand: 6.0, 5.94 and 5.9 bar: the line through them falls 0.1 bar; 0.06 and 0.04 bent by 0.01 bar is within 3 · 0.01.",
      inputs: {
        first: "6 bar g",
        middle: "5.94 bar g",
        last: "5.9 bar g",
        firstTemperature: "15 °C",
        lastTemperature: "15 °C",
        allowed: "1 L/min",
      },
      outputs: { corrected: "0.1 ± 1e-6 bar", leak: "0.1974 ± 0.0001 L/min" },
      verdict: "pass",
    },
  ],
});
