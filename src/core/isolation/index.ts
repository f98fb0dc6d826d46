export { type Alternative, alternatives } from "./alternatives";
export { closingMinutes, unfitness } from "./barrier";
export { type NotBoth, notBoth, type ShutOff } from "./both-out";
export { outageMinutes, prepareCuts } from "./cut-problem";
export { enoughOfLine } from "./enough-of-line";
export { planForWork, shutForWork } from "./for-work";
export { planIsolation, planOn, pumpedOut } from "./isolation-plan";
export { lostBehind } from "./lost";
export type { PathStep } from "./open-path";
export type {
  Act,
  ActReason,
  Closure,
  ClosureReason,
  IsolationDemand,
  IsolationFailure,
  IsolationPlan,
  LockedPiece,
  LostConsumer,
  Turned,
} from "./plan";
export type { ProvePoint } from "./prove";
export { SCALDS_C, type StoredEnergy } from "./stored";
export { rankOf } from "./stream-order";
