export { checkLine } from "./check-line";
export { MEDIA_RULES, type MediumRule, mediumOf, underLineRule } from "./media";
export { neighbourhood } from "./neighbourhood";
export { fed, isEnergy, type Network, network, otherEnd, reachable, standsShut, usuallyFed } from "./network";
export { placesOf } from "./place";
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
