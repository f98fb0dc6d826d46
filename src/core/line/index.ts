export { checkLine } from "./check-line";
export { MEDIA_RULES, type MediumRule, mediumOf, underLineRule } from "./media";
export { fed, isEnergy, type Network, network, otherEnd, reachable, standsShut } from "./network";
export {
  isThreeWay,
  originOf,
  type Positions,
  positionOf,
  standing,
  type ThreeWayNode,
  threeWays,
} from "./standing";
