export { type Alternative, alternatives } from "./alternatives";
export { closingMinutes, type Unfit, unfitness } from "./barrier";
export { outageMinutes } from "./cut";
export {
  type Closure,
  type IsolationDemand,
  type IsolationFailure,
  type IsolationPlan,
  type LostConsumer,
  planIsolation,
  planOn,
} from "./isolation-plan";
export { isolationMessage } from "./messages";
export type { Section } from "./section";
