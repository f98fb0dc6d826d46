export { accept, type JudgedBy } from "./accept";
export { ASKED_TWICE, type Refusal } from "./accept-at-step";
export { type HeldShut, lineAsItStands } from "./as-it-stands";
export { type Bell, inRingingOrder, jobBells, valveBell, WATCH_AFTER_H } from "./bells";
export { type BenchLink, benchLinks } from "./bench-links";
export { type BrokenChain, canonical, chainStart, digest, seal, verifyChain } from "./chain";
export { type PlanChange, planChange } from "./changes";
export { compile, type Plan } from "./compile";
export { type EntryWords, entryWords, type TitleOf } from "./entry-words";
export { type ImpossibleEntry, judgeLog } from "./judge-log";
export { BAR, effectiveEvents, PROVE_STEPS, type Progress, replay, type TakenReading } from "./progress";
export { afterService, type JobRecord, jobRecord, type RecordLine } from "./record";
export {
  advance,
  boltsLeft,
  type Gate,
  gate,
  isClosed,
  mayCloseEarly,
  nextBolt,
  notBegun,
  outOfService,
  piecesLeft,
  type Run,
  type RunStatus,
  run,
  type StepState,
  WRENCH_BAND,
} from "./run";
export { judgeStill, standingWords } from "./standing-test";
export {
  type FitRule,
  type ListLine,
  type Pass,
  PHASE_NAMES,
  PHASES,
  type Phase,
  type Step,
  type StepKind,
  type StepOf,
  type ToolUse,
} from "./step";
