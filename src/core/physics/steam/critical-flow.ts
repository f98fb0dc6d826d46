import { type AbsolutePressure, pascalsAbsolute } from "../../quantity";
import { region1 } from "./region-1";
import { region2 } from "./region-2";
import { saturationTemperature } from "./saturation";

/** Golden-section steps: the pressure of the greatest flux is found to a hundred-thousandth of its range. */
const STEPS = 24;
const GOLDEN = (Math.sqrt(5) - 1) / 2;
/** Steam is not followed below this, Pa: the flux is far past its greatest by then. */
const LEAST = 2000;

/**
 * Most steam a hole can pass, kg/(s·m²): dry saturated steam expands isentropically, steam and water in equilibrium, and
 * the throat takes the pressure at which √(2·(h₀ − h))/v is greatest (homogeneous equilibrium).
 *
 * @param before Pa absolute, 0.1 to 10 MPa · @param behind Pa absolute
 * @see IAPWS-IF97 for the properties; any gas-dynamics text for the maximum
 */
export function steamFlux(before: AbsolutePressure, behind: AbsolutePressure): number {
  const start = region2(before, saturationTemperature(before)!);
  const fluxAt = (throat: AbsolutePressure): number => {
    const boils = saturationTemperature(throat)!;
    const [water, steam] = [region1(throat, boils), region2(throat, boils)];
    const dry = (start.entropy - water.entropy) / (steam.entropy - water.entropy);
    const enthalpy = water.enthalpy + dry * (steam.enthalpy - water.enthalpy);
    const volume = water.volume + dry * (steam.volume - water.volume);
    return Math.sqrt(2 * Math.max(0, start.enthalpy - enthalpy)) / volume;
  };
  const at = (throat: number) => fluxAt(pascalsAbsolute(throat));
  // The flux has one top between the two pressures; a high pressure behind cuts it off at its edge.
  let [low, high]: [number, number] = [Math.max(behind, LEAST), before];
  let [left, right] = [high - GOLDEN * (high - low), low + GOLDEN * (high - low)];
  let [atLeft, atRight] = [at(left), at(right)];
  for (let step = 0; step < STEPS; step++) {
    if (atLeft >= atRight) {
      [high, right, atRight] = [right, left, atLeft];
      left = high - GOLDEN * (high - low);
      atLeft = at(left);
    } else {
      [low, left, atLeft] = [left, right, atRight];
      right = low + GOLDEN * (high - low);
      atRight = at(right);
    }
  }
  return Math.max(atLeft, atRight);
}

/** Napier's rule, kg/(s·m²): 1/70 lb/s through a square inch for each psi absolute; dry steam, choked. */
export const napierFlux = (before: AbsolutePressure): number =>
  (before / 6894.757293168361 / 70) * (0.45359237 / 0.0254 ** 2);
