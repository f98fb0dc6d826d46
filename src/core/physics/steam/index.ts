export { boiling, oneState } from "./boiling";
export { napierFlux, steamFlux } from "./critical-flow";
export { region1 } from "./region-1";
export { region2 } from "./region-2";
export {
  CRITICAL_K,
  CRITICAL_PA,
  LEAST_PA,
  saturationPressure,
  saturationTemperature,
  TRIPLE_K,
} from "./saturation";
