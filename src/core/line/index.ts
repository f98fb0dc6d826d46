export { checkLine } from "./check-line";
export { MEDIA_RULES, type MediumRule, mediumOf, releaseCaution, underLineRule } from "./media";
export { neighbourhood } from "./neighbourhood";
export { fed, isEnergy, type Network, network, reachable, standsShut, usuallyFed } from "./network";
export { pointNames } from "./point-names";
export { forEachLink, otherEnd, search } from "./search";
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
