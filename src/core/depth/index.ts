export { candidatesOf, conditionOf, type DepthAsked, depthOf, weighDepths } from "./candidates";
export { type Condition, type CostOf, mostly, type Weighed, weigh } from "./weigh";
