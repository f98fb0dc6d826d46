export {
  type Compiled,
  candidatesOf,
  conditionOf,
  type DepthAsked,
  depthOf,
  weighDepths,
} from "./candidates";
export {
  type Candidate,
  type Condition,
  type CostOf,
  depthsFor,
  mostly,
  type Weighed,
  type Weighing,
  weigh,
} from "./weigh";
