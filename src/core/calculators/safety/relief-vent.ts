import { PIPE_SIZES, pipeSize } from "../../physics";
import { err, ok } from "../../result";
import { calculator } from "../calculator";
import {
  AIR_ON_SITE,
  choice,
  GAUGE,
  gaugeField,
  MASS_FLOW,
  measured,
  named,
  PERCENT,
  RUN,
  result,
} from "../fields";

const PSI = 6894.757293168361;
const INCH = 0.0254;
const FOOT = 0.3048;
const LB_MIN = 0.45359237 / 60;
/** Clean steel pipe, m: Moody. */
const ROUGHNESS = 0.0018 * INCH;

/** Friction factor (Moody) of fully rough flow: 1/√f = 2·log₁₀(3.7·d/ε). */
const friction = (bore: number): number => (2 * Math.log10((3.7 * bore) / ROUGHNESS)) ** -2;

/**
 * Longest discharge pipe, m: L = 0.2146·d⁵·(p₀² − p₂²)/(f·C²) − d·ln(p₀/p₂)/(6·f), d in, p psia, C lb/min, L ft.
 * @see ANSI/ASHRAE 15, length of discharge piping
 */
function longest(bore: number, before: number, after: number, capacity: number): number {
  const [d, p0, p2, c] = [bore / INCH, before / PSI, after / PSI, capacity / LB_MIN];
  const f = friction(bore);
  return FOOT * ((0.2146 * d ** 5 * (p0 ** 2 - p2 ** 2)) / (f * c ** 2) - (d * Math.log(p0 / p2)) / (6 * f));
}

/** Companion of calculation 49: whether the pipe behind a relief valve is wide enough. */
export const reliefVent = calculator({
  id: "relief-vent",
  chapter: "Safety margins",
  title: "Relief vent line",
  says: "How long the discharge pipe of a relief valve may be, and which size does for this length.",
  words: ["vent line", "discharge pipe", "back pressure", "relief header", "relief valve", "pipe length"],
  inputs: {
    capacity: measured("Valve's capacity, air", MASS_FLOW, {
      help: "Stamped on it; all that blow together.",
      least: 1e-5,
      most: 50,
      usual: 0.19,
    }),
    setting: gaugeField("Set at", { help: "Stamped on it.", least: 1e5, most: 2e7, usual: 17e5 }),
    share: measured("Back pressure allowed", PERCENT, {
      help: "Of the setting: 15 % for a plain valve, by its maker for others.",
      least: 0.02,
      most: 0.5,
      usual: 0.15,
    }),
    length: measured("Length, fittings counted", RUN, {
      help: "Each elbow as about 30 bores.",
      least: 0.1,
      most: 1000,
      usual: 18,
    }),
    size: choice(
      "Pipe",
      "Schedule 40.",
      Object.fromEntries(
        PIPE_SIZES.filter(({ id }) => Number(id.slice(2)) >= 15 && Number(id.slice(2)) <= 300).map(
          ({ id, label }) => [id, label],
        ),
      ),
      { usual: "DN50" },
    ),
    surroundings: AIR_ON_SITE,
  },
  outputs: {
    longest: result("Longest in this size", RUN),
    next: named("Smallest size for this length"),
    allowed: result("Back pressure allowed", GAUGE),
  },
  compute: (given, say) => {
    const air = given.surroundings;
    const back = given.setting * given.share;
    const [before, capacity, length] = [back + air, given.capacity, given.length];
    const reach = (id: string) => longest(pipeSize(id, "40")!.bore, before, air, capacity);
    const most = reach(given.size);
    const next = PIPE_SIZES.find(({ id }) => Number(id.slice(2)) >= 15 && reach(id) >= length);
    if (next === undefined)
      return err({
        input: "length",
        message: "No size in the table reaches that far: two lines, or a shorter way.",
      });
    const fits = length <= most;
    return ok({
      outputs: { allowed: back, longest: Math.max(most, 0), next: next.label },
      verdict: fits ? "pass" : "fail",
      reasons: [
        fits
          ? `Long enough: up to ${say(Math.max(most, 0), RUN)}.`
          : `Too long for this size: it chokes the valve. Take ${next.label}.`,
      ],
      cautions: [
        "Never smaller than the valve's outlet, no stop valve in it, drained where water gathers, and away from where people stand.",
      ],
    });
  },
  sources: [
    "Length of discharge piping and 15 % back pressure: ANSI/ASHRAE 15. Friction of fully rough steel: Moody. Bores: ASME B36.10M.",
  ],
  examples: [
    {
      source:
        "ASHRAE 15 by hand: 2 in (2.067), set 250 psi: p₀ = 37.5 + 14.696 = 52.196; f = (2·log₁₀(3.7·2.067/0.0018))⁻² = 0.01899; C 25 lb/min: 0.2146·37.73·(2724.4 − 216.0)/(0.01899·625) − 2.067·1.2674/0.1139 = 1711.3 − 23.0 = 1688 ft.",
      inputs: { capacity: "25 lb/min", setting: "250 psi" },
      outputs: { allowed: "37.5 ± 0.001 psi g", longest: "1688 ± 2 ft" },
      verdict: "pass",
    },
    {
      source: "The same at 100 lb/min: a sixteenth of 1711.3 less 23.0 is 84.0 ft; 90 ft is too long.",
      inputs: { capacity: "100 lb/min", setting: "250 psi", length: "90 ft" },
      outputs: { longest: "84.0 ± 0.2 ft", next: "DN 65 · 2 1/2 in" },
      verdict: "fail",
    },
  ],
});
