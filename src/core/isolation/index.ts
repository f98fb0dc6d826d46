export { type Alternative, alternatives } from "./alternatives";
export { closingMinutes, unfitness } from "./barrier";
export { outageMinutes, prepareCuts } from "./cut-problem";
export { enoughOfLine } from "./enough-of-line";
export { planIsolation, planOn } from "./isolation-plan";
export type { LostConsumer } from "./lost";
export { actWords, isolationMessage, lockedWords, storedWords } from "./messages";
export type {
  Act,
  Closure,
  IsolationDemand,
  IsolationFailure,
  IsolationPlan,
  LockedPiece,
  Turned,
} from "./plan";
