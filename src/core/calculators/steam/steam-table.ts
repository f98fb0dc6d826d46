import {
  boiling,
  CRITICAL_K,
  CRITICAL_PA,
  LEAST_PA,
  oneState,
  saturationPressure,
  saturationTemperature,
  TRIPLE_K,
} from "../../physics";
import { absolute } from "../../quantity";
import { err, ok } from "../../result";
import { calculator } from "../calculator";
import {
  ABSOLUTE,
  AIR_ON_SITE,
  choice,
  DEGREES,
  ENTROPY,
  gaugeField,
  HEAT_OF_A_KILOGRAM,
  KELVIN,
  ROOM_OF_A_KILOGRAM,
  result,
  temperatureField,
  WARMING,
} from "../fields";

const MOST_STEAM_K = 1073.15;

/** Calculation 16: water and steam by IAPWS-IF97, on the boiling line and beside it. */
export const steamTable = calculator({
  id: "steam-table",
  chapter: "Steam and heating",
  title: "Steam table",
  says: "Where water boils, how much room its steam takes and how much heat it holds.",
  words: [
    "steam",
    "boiling",
    "saturation",
    "superheat",
    "latent heat",
    "enthalpy",
    "flash",
    "condensate",
    "how hot",
  ],
  inputs: {
    known: choice("Known", "Both, for steam that is hotter than its boiling point or water that is colder.", {
      pressure: "Pressure, boiling",
      temperature: "Temperature, boiling",
      both: "Both",
    }),
    pressure: gaugeField("Gauge", { most: 2.3e7, usual: 500_000 }),
    temperature: temperatureField("Temperature", {
      help: "Of the steam or of the water.",
      least: KELVIN,
      most: MOST_STEAM_K,
      usual: KELVIN + 160,
    }),
    surroundings: AIR_ON_SITE,
  },
  outputs: {
    boilsAt: result("Boils at", DEGREES),
    absolute: result("Pressure, absolute", ABSOLUTE),
    waterVolume: result("Room of a kilogram of boiling water", ROOM_OF_A_KILOGRAM),
    steamVolume: result("Room of a kilogram of its steam", ROOM_OF_A_KILOGRAM),
    waterHeat: result("Heat in the boiling water", HEAT_OF_A_KILOGRAM),
    latent: result("Heat to boil it away", HEAT_OF_A_KILOGRAM),
    steamHeat: result("Heat in its steam", HEAT_OF_A_KILOGRAM),
    volume: result("Room, as it is", ROOM_OF_A_KILOGRAM),
    heat: result("Heat, as it is", HEAT_OF_A_KILOGRAM),
    entropy: result("Entropy, as it is", ENTROPY),
  },
  compute: (given, say) => {
    const { known } = given;
    const byTemperature = known === "temperature";
    const pressure = byTemperature
      ? saturationPressure(given.temperature)
      : absolute(given.pressure, given.surroundings);
    const boilsAt = pressure === undefined ? undefined : saturationTemperature(pressure);
    if (pressure === undefined || boilsAt === undefined)
      return err({
        input: byTemperature ? "temperature" : "pressure",
        message: `Water boils between its triple and its critical point: ${say(TRIPLE_K, DEGREES)} to ${say(CRITICAL_K, DEGREES)}, ${say(LEAST_PA, ABSOLUTE)} to ${say(CRITICAL_PA, ABSOLUTE)}. Beyond, nothing tells water from steam.`,
      });
    const { water, steam } = boiling(pressure, boilsAt);
    const kelvin = known === "both" ? given.temperature : boilsAt;
    const cold = known === "both" && kelvin < boilsAt;
    const state = known === "both" ? oneState(pressure, kelvin, boilsAt) : steam;
    const away = say(Math.abs(kelvin - boilsAt), WARMING);
    return ok({
      outputs: {
        boilsAt,
        absolute: pressure,
        waterVolume: water.volume,
        steamVolume: steam.volume,
        waterHeat: water.enthalpy,
        latent: steam.enthalpy - water.enthalpy,
        steamHeat: steam.enthalpy,
        volume: state.volume,
        heat: state.enthalpy,
        entropy: state.entropy,
      },
      reasons: [
        known !== "both"
          ? "As it is: dry steam, just boiled."
          : cold
            ? `As it is: water, ${away} below boiling.`
            : `As it is: steam, ${away} above boiling.`,
      ],
      cautions: [
        "Water above 100 °C flashes to steam when it is let out. Let it cool below 45 °C before anything is opened.",
      ],
    });
  },
  sources: [
    "IAPWS R7-97(2012), Industrial Formulation 1997 (IF97), regions 1 to 4: from the triple to the critical point",
    "Heat counts from liquid water at its triple point (0.01 °C), as the release has it",
  ],
  examples: [
    {
      source: "IAPWS R7-97(2012), table 36: water boils at 453.035632 K at 1 MPa",
      inputs: {
        known: "pressure",
        pressure: "8.98675 bar g",
        surroundings: "1.01325 bar abs",
      },
      outputs: {
        boilsAt: "179.885632 ± 1e-5 °C",
        latent: "2014.6 ± 0.3 kJ/kg", // steam tables: 2777.1 − 762.5
      },
    },
    {
      source: "IAPWS R7-97(2012), table 5: water at 500 K and 3 MPa",
      inputs: {
        known: "both",
        pressure: "28.98675 bar g",
        temperature: "226.85 °C",
      },
      outputs: {
        volume: "0.1202418e-2 ± 1e-11 m3/kg",
        heat: "975.542239 ± 1e-5 kJ/kg",
        entropy: "2.58041912 ± 1e-8 kJ/(kg·K)",
      },
    },
    {
      source: "Steam tables: at 1 atm water boils at 99.97 °C and its steam takes 1.673 m³/kg",
      inputs: { known: "pressure", pressure: "0 bar g" },
      outputs: {
        boilsAt: "99.974 ± 0.002 °C",
        steamVolume: "1.6733 ± 0.001 m3/kg",
        latent: "2256.5 ± 0.5 kJ/kg",
      },
    },
    {
      source:
        "IAPWS-IF97, near the critical point: at 640 K water of 481.5 and steam of 177.2 kg/m³ boil at 20.266 MPa",
      inputs: { known: "temperature", temperature: "366.85 °C" },
      outputs: {
        absolute: "202.66 ± 0.01 bar abs",
        waterVolume: "0.0020768 ± 0.000004 m3/kg",
        steamVolume: "0.005637 ± 0.00001 m3/kg",
      },
    },
    {
      source:
        "IAPWS R7-97(2012): the critical point, 647.096 K and 22.064 MPa, where no heat is needed any more",
      inputs: { known: "temperature", temperature: "373.946 °C" },
      outputs: { absolute: "220.64 ± 0.001 bar abs", latent: "0 ± 0.5 kJ/kg" },
    },
  ],
});
