export { candidatesOf, conditionOf, type DepthAsked, depthOf, weighDepths } from "./candidates";
export { type FigureOf, type Margin, margins } from "./margins";
export { type Condition, type CostOf, mostly, type Weighed, type Weighing, weigh } from "./weigh";
