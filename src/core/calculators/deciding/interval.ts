import { err, ok } from "../../result";
import { meets, trendOf } from "../../statistics";
import { calculator, numbered } from "../calculator";
import type { When } from "../declaration";
import {
  choice,
  DAYS,
  day,
  HARDNESS,
  KELVIN,
  measured,
  named,
  PLAIN,
  result,
  temperatureField,
} from "../fields";
import { writeDate } from "../read-inputs";

const MONTH_S = (365.25 / 12) * 86_400;
const DAY_S = 86_400;
const READINGS = [1, 2, 3, 4] as const;
/** Rubber ages twice as fast for each 10 K (Arrhenius near room temperature, rule of thumb). */
const PER_10_K = 2;
/** Demonstration figure: intervals hold for water of 200 mg/L; above it they shrink in proportion. */
const BASE_HARDNESS = 0.2;
/** Two standard errors: nineteen times in twenty the slope is no steeper. */
const CONFIDENCE = 2;

/** Fields of a reading count only when so many are given. */
const fromReading = (number: number): { when: When } => ({
  when: { input: "trend", is: ["2", "3", "4"].filter((count) => Number(count) >= number) },
});

/** Calculation 38: when this valve is due next, and why. */
export const interval = calculator({
  id: "interval",
  chapter: "Deciding and timing",
  title: "Next due",
  says: "When it is due next: by code, by how it runs, and by the trend of what was measured. The earliest wins.",
  words: ["interval", "next due", "when again", "how often", "trend", "overdue", "service interval"],
  inputs: {
    last: day("Last service", "The day it was done."),
    months: measured("Months between, by code or sheet", PLAIN, {
      help: "The shortest that applies.",
      least: 0.5,
      most: 240,
      usual: 12,
    }),
    runs: temperatureField("Runs at", {
      help: "Usual temperature of its rubber.",
      least: KELVIN - 40,
      most: KELVIN + 200,
      usual: KELVIN + 20,
    }),
    rated: temperatureField("Interval holds up to", {
      help: "From the sheet.",
      least: KELVIN - 40,
      most: KELVIN + 200,
      usual: KELVIN + 40,
    }),
    hardness: measured("Hardness of the water", HARDNESS, {
      help: "0 where there is none.",
      least: 0,
      most: 3,
      usual: 0,
    }),
    cycles: measured("Cycles in a day", PLAIN, { help: "Opens and shuts.", least: 0, most: 1e6, usual: 0 }),
    life: measured("Cycles it is good for", PLAIN, {
      help: "From the sheet; 0 when it gives none.",
      least: 0,
      most: 1e9,
      usual: 0,
    }),
    trend: choice("Readings over time", "Something measured that creeps towards a limit.", [
      ["0", "none"],
      ["2", "two"],
      ["3", "three"],
      ["4", "four"],
    ]),
    limit: measured("Limit of what is measured", PLAIN, {
      help: "In the unit of the readings.",
      when: { input: "trend", is: ["2", "3", "4"] },
      least: -1e9,
      most: 1e9,
      optional: true,
    }),
    ...numbered(READINGS, {
      day: (number) =>
        day(`Reading ${number}, day`, "Oldest first.", { optional: true, ...fromReading(number) }),
      value: (number) =>
        measured(`Reading ${number}`, PLAIN, {
          help: "In the same unit as the limit.",
          ...fromReading(number),
          least: -1e9,
          most: 1e9,
          optional: true,
        }),
    }),
  },
  outputs: {
    due: named("Due"),
    why: named("Because of"),
    byCode: named("By code"),
    byRunning: named("By how it runs"),
    byTrend: named("By its trend", "optional"),
    trendEarly: named("Trend, at its worst", "optional"),
    slope: result("Changes in a year by", PLAIN, "optional"),
    days: result("Days after the last service", DAYS),
  },
  compute: (given) => {
    const last = given.last;
    const code = given.months * MONTH_S;
    const hotter = Math.max(0, given.runs - given.rated);
    const byHeat = code / PER_10_K ** (hotter / 10);
    const byHardness = code * Math.min(1, BASE_HARDNESS / Math.max(given.hardness, 1e-6));
    const [cycles, life] = [given.cycles, given.life];
    const byCycles = cycles > 0 && life > 0 ? (life / cycles) * DAY_S : Number.POSITIVE_INFINITY;
    const running = [
      { why: "its temperature", after: byHeat },
      { why: "hardness of the water", after: byHardness },
      { why: "its cycles", after: byCycles },
    ].reduce((a, b) => (b.after < a.after ? b : a));
    const readings = READINGS.flatMap((number) => {
      const [time, value] = [given[`day${number}`], given[`value${number}`]];
      return time === undefined || value === undefined ? [] : [{ time, value }];
    });
    const limit = given.limit;
    const trend = limit === undefined ? undefined : trendOf(readings);
    if (limit !== undefined && readings.length >= 2 && trend === undefined)
      return err({ input: "day2", message: "The readings all have one day: a trend needs two." });
    const crossing = trend && meets(trend, limit!);
    const worst = trend && worstCase(trend, limit!);
    const latest = last + 40 * 365.25 * DAY_S;
    const inTable = (at: number | undefined) =>
      at === undefined || at > latest ? undefined : Math.max(at, last);
    const [byTrend, early] = [inTable(crossing), inTable(worst)];
    const all = [
      { why: "the code", at: last + code },
      ...(running.after < code ? [{ why: running.why, at: last + running.after }] : []),
      ...(early !== undefined || byTrend !== undefined
        ? [{ why: "the trend of its readings", at: Math.min(early ?? latest, byTrend ?? latest) }]
        : []),
    ];
    const first = all.reduce((a, b) => (b.at < a.at ? b : a));
    const written = (at: number) => writeDate(at);
    return ok({
      outputs: {
        due: written(first.at),
        why: first.why,
        byCode: written(last + code),
        byRunning:
          Number.isFinite(running.after) && running.after < code
            ? written(last + running.after)
            : "no sooner than the code",
        byTrend: byTrend === undefined ? undefined : written(byTrend),
        trendEarly: early === undefined ? undefined : written(early),
        slope: trend && trend.slope * 365.25 * DAY_S,
        days: first.at - last,
      },
      verdict: first.why === "the code" ? "pass" : "watch",
      reasons: [`Due ${written(first.at)}, because of ${first.why}.`],
      cautions: [
        "A code interval is never stretched by a good trend; only shortened by a bad one.",
        ...(readings.length === 2
          ? ["Two readings make a line, not a trend: measure again before you lean on it."]
          : []),
      ],
    });
  },
  sources: [
    "Least squares and standard error of the slope: any statistics text. Twice as fast for 10 K: rule of thumb after Arrhenius. Effect of hardness: demonstration data.",
  ],
  examples: [
    {
      source: "By the calendar: 12 months of 365.25/12 days after 1 March 2026.",
      inputs: { last: "2026-03-01" },
      outputs: { due: "2027-03-01", why: "the code" },
      verdict: "pass",
    },
    {
      source: "By hand: 20 K over its rating quarters a year: 91.3 days after 1 March 2026.",
      inputs: { last: "2026-03-01", runs: "60 °C" },
      outputs: { due: "2026-05-31", why: "its temperature" },
      verdict: "watch",
    },
    {
      source:
        "By hand: 10.0, 10.2, 10.4 turns on three days 100 days apart, limit 10.6: the line meets it 100 days after the last.",
      inputs: {
        last: "2026-03-01",
        trend: "3",
        limit: "10.6",
        day1: "2025-06-01",
        value1: "10",
        day2: "2025-09-09",
        value2: "10.2",
        day3: "2025-12-18",
        value3: "10.4",
      },
      outputs: { byTrend: "2026-03-28", slope: "0.7305 ± 0.001" },
      verdict: "watch",
    },
  ],
});

/** When the limit is met if the slope is two standard errors steeper towards it. */
function worstCase(trend: NonNullable<ReturnType<typeof trendOf>>, limit: number): number | undefined {
  if (trend.slopeError === undefined) return undefined;
  const towards = Math.sign(limit - trend.at) || 1;
  return meets({ ...trend, slope: trend.slope + towards * CONFIDENCE * trend.slopeError }, limit);
}
