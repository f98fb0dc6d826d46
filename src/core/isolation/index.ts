export { type Alternative, alternatives } from "./alternatives";
export { closingMinutes, type Unfit, unfitness } from "./barrier";
export type { Bleed, Closure } from "./closures";
export { outageMinutes, prepareCuts } from "./cut-problem";
export { enoughOfLine } from "./enough-of-line";
export {
  type IsolationDemand,
  type IsolationFailure,
  type IsolationPlan,
  planIsolation,
  planOn,
} from "./isolation-plan";
export type { LockedPiece } from "./locked-pieces";
export type { LostConsumer } from "./lost";
export { actWords, isolationMessage, lockedWords } from "./messages";
export type { Act } from "./order";
export type { Permit } from "./permits";
export type { ProvePoint } from "./prove";
export type { Section } from "./section";
export type { StoredEnergy } from "./stored";
export type { Turned } from "./three-way";
