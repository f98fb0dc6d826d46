import type { Competence, InstrumentKind } from "@/core/formats";

/** Competences as they are said. */
export const COMPETENCE_NAMES: Readonly<Record<Competence, string>> = {
  gas: "Gas",
  refrigerant: "Refrigerant",
  fire: "Fire systems",
  electricity: "Electricity",
  steam: "Steam",
};

export const INSTRUMENT_NAMES: Readonly<Record<InstrumentKind, string>> = {
  multimeter: "Multimeter",
  gauge: "Pressure gauge",
  logger: "Pressure logger",
  thermometer: "Thermometer",
  "torque-wrench": "Torque wrench",
  "dial-meter": "Dial meter",
  pitot: "Pitot gauge",
  "leak-detector": "Leak detector",
  "gas-monitor": "Gas monitor",
  scale: "Scale",
};
