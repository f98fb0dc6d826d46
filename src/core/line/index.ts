export { checkLine } from "./check-line";
export { equipmentAt } from "./equipment";
export { pumpsWithoutWay } from "./idle-pumps";
export {
  CO2_LIQUID_ABOVE_BAR,
  CO2_TRIPLE_BAR_ABS,
  flowOf,
  MEDIA_RULES,
  mediumOf,
  type PermitKind,
  underLineRule,
} from "./media";
export { neighbourhood } from "./neighbourhood";
export {
  fed,
  fedFrom,
  feeding,
  isEnergy,
  type Network,
  network,
  reachable,
  standsShut,
  usuallyFed,
} from "./network";
export { pointNames } from "./point-names";
export { forEachLink, otherEnd, search } from "./search";
export { sharedHeader } from "./shared-header";
export {
  isThreeWay,
  originOf,
  type Positions,
  positionOf,
  standing,
  type ThreeWayNode,
  threeWays,
} from "./standing";
export { lineStates, type PipeState, type Setting } from "./states";
export { streetGrid } from "./street-grid";
