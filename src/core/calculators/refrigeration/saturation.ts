import {
  boilingPressure,
  boilingState,
  boilingTemperature,
  CO2_TRIPLE,
  saturationRange,
} from "../../physics";
import { absolute, shownByGauge } from "../../quantity";
import { err, ok } from "../../result";
import { calculator } from "../calculator";
import {
  ABSOLUTE,
  AIR_ON_SITE,
  choice,
  DEGREES,
  DENSITY,
  DIFFERENCE,
  GAUGE,
  gaugeField,
  HEAT_OF_A_KILOGRAM,
  KELVIN,
  result,
  temperatureField,
} from "../fields";

/** A section of liquid CO2 nearer than this to its triple point is one small leak away from dry ice. */
const MARGIN_PA = 100_000;

/** Calculation 21: at which temperature a refrigerant boils at a pressure, and the other way round. */
export const saturation = calculator({
  id: "saturation",
  chapter: "Refrigeration",
  title: "Refrigerant: pressure and temperature",
  says: "What it boils at, temperature from pressure or the other way round, what its liquid and vapour weigh and what boiling takes, for ammonia and CO2.",
  words: [
    "saturation",
    "boiling",
    "ammonia",
    "R717",
    "co2",
    "R744",
    "dry ice",
    "triple point",
    "gauge temperature",
    "latent heat",
    "density",
  ],
  inputs: {
    refrigerant: choice("Refrigerant", "Look at the plate: a mixture of the two does not exist.", {
      ammonia: "Ammonia (R717)",
      co2: "CO2 (R744)",
    }),
    known: choice("Known", "What was read.", { pressure: "Pressure", temperature: "Temperature" }),
    pressure: gaugeField("Gauge", {
      help: "On the plant's own gauge.",
      most: 1.2e7,
      usual: 190_000,
      when: { input: "known", is: ["pressure"] },
    }),
    temperature: temperatureField("Temperature", {
      help: "Of the liquid or of its pipe.",
      least: KELVIN - 100,
      usual: KELVIN - 10,
      when: { input: "known", is: ["temperature"] },
    }),
    surroundings: AIR_ON_SITE,
  },
  outputs: {
    temperature: result("It boils at", DEGREES),
    absolute: result("Pressure, absolute", ABSOLUTE),
    gauge: result("Pressure on the gauge", GAUGE),
    latent: result("Heat to boil it away", HEAT_OF_A_KILOGRAM, "optional"),
    liquid: result("Liquid weighs", DENSITY, "optional"),
    vapour: result("Vapour weighs", DENSITY, "optional"),
  },
  compute: (given, say) => {
    const celsius = (si: number) => say(si, DEGREES);
    const bar = (si: number) => say(si, ABSOLUTE);
    const refrigerant = given.refrigerant;
    const air = given.surroundings;
    const { least_K, most_K, least_Pa, most_Pa } = saturationRange(refrigerant);
    const byPressure = given.known === "pressure";
    const pressed = absolute(given.pressure, air);
    if (byPressure && refrigerant === "co2" && pressed < CO2_TRIPLE.pascal)
      return err({
        input: "pressure",
        message: `Below ${bar(CO2_TRIPLE.pascal)} CO2 is dry ice and vapour: it has no boiling point. Let vapour in first, never liquid.`,
      });
    const kelvin = byPressure ? boilingTemperature(refrigerant, pressed) : given.temperature;
    const pascal = byPressure ? pressed : boilingPressure(refrigerant, given.temperature);
    if (kelvin === undefined || pascal === undefined)
      return err({
        input: byPressure ? "pressure" : "temperature",
        message: `The line is known from ${celsius(least_K)} to ${celsius(most_K)} (${bar(least_Pa)} to ${bar(most_Pa)}). Outside nothing is said.`,
      });
    const nearIce = refrigerant === "co2" && pascal - CO2_TRIPLE.pascal < MARGIN_PA;
    return ok({
      outputs: {
        temperature: kelvin,
        absolute: pascal,
        gauge: shownByGauge(pascal, air),
        ...boilingState(refrigerant, kelvin),
      },
      ...(nearIce && { verdict: "watch" as const }),
      reasons: [
        nearIce
          ? `Only ${say(pascal - CO2_TRIPLE.pascal, DIFFERENCE)} above the triple point: a small leak makes dry ice.`
          : "On the saturation line: liquid and vapour stand together.",
      ],
      cautions: [
        "A pipe that is colder than this holds only liquid; a warmer one only vapour. Oil and air in it shift the reading.",
        ...(refrigerant === "co2"
          ? [
              "Liquid CO2 let below 5.18 bar abs turns to dry ice, plugs the vent and hides pressure behind it.",
            ]
          : []),
      ],
    });
  },
  sources: [
    "Ammonia: Tillner-Roth, Harms-Watzenberg, Baehr, DKV-Tagungsbericht 20 (1993); within 0.05 % of the NIST tables, −50 to 122 °C",
    "CO2: Span and Wagner, J. Phys. Chem. Ref. Data 25 (1996) 1509; boiling line within 0.02 %, densities within 0.1 %, triple to critical point",
    "Densities of ammonia: ASHRAE Fundamentals, R-717, −50 to 50 °C. Heat to boil: Clapeyron, from line and densities.",
  ],
  examples: [
    {
      source: "NIST Chemistry WebBook: ammonia at 0 °C stands at 429.38 kPa",
      inputs: {
        refrigerant: "ammonia",
        known: "temperature",
        temperature: "0 °C",
      },
      outputs: {
        absolute: "4.2938 ± 0.004 bar abs",
        latent: "1262.2 ± 1.5 kJ/kg",
        liquid: "638.57 ± 0.05 kg/m3",
        vapour: "3.4567 ± 0.005 kg/m3",
      },
    },
    {
      source: "NIST Chemistry WebBook: ammonia boils at −33.33 °C at 1 atm",
      inputs: {
        refrigerant: "ammonia",
        known: "pressure",
        pressure: "0 bar g",
      },
      outputs: { temperature: "-33.33 ± 0.03 °C" },
    },
    {
      source: "Span and Wagner (1996), table 34: CO2 at −40 °C stands at 1.0045 MPa",
      inputs: {
        refrigerant: "co2",
        known: "temperature",
        temperature: "-40 °C",
      },
      outputs: {
        absolute: "10.045 ± 0.01 bar abs",
        liquid: "1116.4 ± 1 kg/m3",
        vapour: "26.12 ± 0.05 kg/m3",
      },
    },
    {
      source:
        "Span and Wagner (1996): critical at 30.9782 °C and 7.3773 MPa, 467.6 kg/m³; nothing is left to boil",
      inputs: { refrigerant: "co2", known: "temperature", temperature: "30.978 °C" },
      outputs: { absolute: "73.77 ± 0.01 bar abs" },
    },
    {
      source:
        "Span and Wagner (1996), table 34: CO2 at 0 °C, 34.851 bar, 927.43 and 97.647 kg/m³, 230.9 kJ/kg",
      inputs: { refrigerant: "co2", known: "temperature", temperature: "0 °C" },
      outputs: { absolute: "34.851 ± 0.01 bar abs", latent: "230.9 ± 0.3 kJ/kg" },
    },
    {
      source: "The same, a little above the triple point (−56.56 °C, 5.1795 bar): to be watched",
      inputs: {
        refrigerant: "co2",
        known: "pressure",
        pressure: "4.5 bar g",
      },
      outputs: { temperature: "-55.13 ± 0.1 °C" },
      verdict: "watch",
    },
  ],
});
