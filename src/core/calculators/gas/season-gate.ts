import { ok } from "../../result";
import { calculator } from "../calculator";
import { choice, day, HOURS, KELVIN, measured, named, PLAIN, result, temperatureField } from "../fields";

const MONTHS = [
  "January",
  "February",
  "March",
  "April",
  "May",
  "June",
  "July",
  "August",
  "September",
  "October",
  "November",
  "December",
] as const;
const months = Object.fromEntries(MONTHS.map((name, index) => [String(index + 1), name]));
/** s in an hour. */
const HOUR_S = 3600;

/** Calculation 36: whether the season and the weather allow the work. */
export const seasonGate = calculator({
  id: "season-gate",
  chapter: "Gas",
  title: "Season gate",
  says: "May this work be done on this day: season window, the night's forecast and whether one gets in.",
  words: ["season", "winter", "frost", "may i shut", "heating season", "forecast", "too cold", "access"],
  inputs: {
    on: day("Day of the work", "When it is to be done.", { usual: "now" }),
    hemisphere: choice("Where", "South of the equator the seasons are turned.", {
      north: "northern half",
      south: "southern half",
    }),
    from: choice(
      "Window opens in",
      "First month in which it is allowed, north; from your site's rules.",
      months,
      { usual: "5" },
    ),
    to: choice("Window ends with", "Last month, north.", months, { usual: "9" }),
    night: temperatureField("Forecast, coldest of the next night", {
      help: "At the place.",
      least: KELVIN - 50,
      most: KELVIN + 45,
      usual: KELVIN + 8,
    }),
    least: temperatureField("Not below", {
      help: "For this work: 3 °C for wet work, 10 °C where people lose heating.",
      least: KELVIN - 30,
      most: KELVIN + 30,
      usual: KELVIN + 3,
    }),
    without: measured("People without service for", HOURS, {
      help: "Heat, water or gas.",
      least: 0,
      most: 720 * HOUR_S,
      usual: 2 * HOUR_S,
    }),
    access: choice("Access", "To every place that has to be relit, drained or bled.", {
      all: "somebody is there everywhere",
      some: "not everywhere",
    }),
    frail: choice("Frail people on it", "Old, ill or very young, or a clinic.", {
      no: "none known",
      yes: "yes",
    }),
  },
  outputs: {
    answer: named("The work"),
    days: result("Days until the window opens", PLAIN),
    window: named("Window"),
  },
  compute: (given) => {
    const date = new Date(given.on * 1000);
    const shift = given.hemisphere === "south" ? 6 : 0;
    const turned = (month: number) => ((month - 1 + shift) % 12) + 1;
    const [from, to] = [turned(Number(given.from)), turned(Number(given.to))];
    const month = date.getUTCMonth() + 1;
    const inside = from <= to ? month >= from && month <= to : month >= from || month <= to;
    const opens = new Date(Date.UTC(date.getUTCFullYear() + (month >= from ? 1 : 0), from - 1, 1));
    const days = inside ? 0 : Math.round((opens.getTime() - date.getTime()) / 86_400_000);
    const cold = given.night < given.least;
    const locked = given.access === "some";
    const long = given.without > 4 * HOUR_S && given.frail === "yes";
    const stops = [
      cold && "The night is too cold for it: what is wet freezes, and people sit in the cold.",
      locked && "Somebody has to let you in everywhere before it is shut: pilots go out and cannot be relit.",
      long && "Frail people would be without it for over four hours: arrange for them first.",
    ].filter((each): each is string => each !== false);
    const may = stops.length === 0 && inside;
    return ok({
      outputs: {
        answer: may
          ? "may be done"
          : stops.length > 0
            ? "may not be done"
            : "outside the season: only with the word of who decides",
        days,
        window: `${MONTHS[from - 1]} to ${MONTHS[to - 1]}`,
      },
      verdict: may ? "pass" : stops.length > 0 ? "stop" : "watch",
      reasons: may
        ? ["Season, forecast and access allow it."]
        : [...stops, ...(inside ? [] : ["The day lies outside the window."])],
      cautions: [
        "A forecast is not a thermometer: look again in the morning. Urgent work on a danger goes before any season.",
      ],
    });
  },
  sources: [
    "Window and bounds are your site's: the usual values are demonstration data. Seasons are half a year apart between north and south.",
  ],
  examples: [
    {
      source: "June is between May and September.",
      inputs: { on: "2026-06-15" },
      outputs: { answer: "may be done", days: "0 ± 0" },
      verdict: "pass",
    },
    {
      source: "By the calendar: from 25 November 2026 to 1 May 2027 are 157 days.",
      inputs: { on: "2026-11-25" },
      outputs: { days: "157 ± 0" },
      verdict: "watch",
    },
    {
      source: "South of the equator May to September is November to March.",
      inputs: { on: "2026-12-24", hemisphere: "south" },
      outputs: { answer: "may be done", window: "November to March" },
      verdict: "pass",
    },
    {
      source: "A forecast under the bound forbids it.",
      inputs: { on: "2026-06-15", night: "-1 °C" },
      outputs: { answer: "may not be done" },
      verdict: "stop",
    },
  ],
});
