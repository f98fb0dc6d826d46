/** Higher heating values at 15 °C and 1.01325 bar, J/m³: usual natural gas (relative density 0.6) and propane vapour. */
export const FUEL_GASES = {
  natural: { name: "natural gas", heat: 38e6, lowerLimit: 0.05 },
  propane: { name: "propane vapour", heat: 95e6, lowerLimit: 0.021 },
} as const;
