export { accept, type JudgedBy } from "./accept";
export { ASKED_TWICE, type Refusal } from "./accept-at-step";
export { type HeldShut, lineAsItStands } from "./as-it-stands";
export { type Bell, inRingingOrder, jobBells, valveBell, WATCH_AFTER_H } from "./bells";
export { type BenchLink, benchLinks } from "./bench-links";
export { canonical, chainStart, digest, seal, verifyChain } from "./chain";
export { type PlanChange, planChange } from "./changes";
export { compile, type Plan } from "./compile";
export { entryWords } from "./entry-words";
export { judgeLog } from "./judge-log";
export { BAR, effectiveEvents, replay } from "./progress";
export { afterService, type JobRecord, jobRecord } from "./record";
export {
  advance,
  gate,
  isClosed,
  mayCloseEarly,
  nextBolt,
  notBegun,
  outOfService,
  piecesLeft,
  type Run,
  run,
  WRENCH_BAND,
} from "./run";
export { judgeStill, standingWords } from "./standing-test";
export {
  PHASE_NAMES,
  PHASES,
  type Phase,
  type Step,
  type StepOf,
} from "./step";
