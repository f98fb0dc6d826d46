export { checkLine } from "./check-line";
export { MEDIA_RULES, type MediumRule, mediumOf, underLineRule } from "./media";
export { fed, isEnergy, type Network, network, otherEnd, reachable, standsShut, usuallyFed } from "./network";
export { holdsPlace } from "./place";
export {
  isThreeWay,
  originOf,
  type Positions,
  positionOf,
  standing,
  type ThreeWayNode,
  threeWays,
} from "./standing";
export { streetGrid } from "./street-grid";
