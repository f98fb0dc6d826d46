export { accept, type JudgedBy } from "./accept";
export { actsDone, afterJob } from "./after-job";
export { provenAgain } from "./after-stop";
export { withAnswered, withoutAnswered } from "./answered";
export {
  asBuilt,
  type HeldShut,
  heldLinks,
  heldOn,
  keptShut,
  lineAsItStands,
  PLANS_BESIDE_OTHERS,
} from "./as-it-stands";
export { awayFrom } from "./away-from";
export { type Bell, jobBells, WATCH_AFTER_H } from "./bells";
export { type BenchLink, benchLinks } from "./bench-links";
export { canonical, chainStart, digest, seal, verifyChain } from "./chain";
export { type PlanChange, planChange } from "./changes";
export {
  asksAt,
  asksOfJob,
  asksOfSheet,
  isProof,
  lacking,
  lackingOn,
  whoShut,
} from "./competence";
export { compile, type Plan } from "./compile";
export type { PutOff, Trace } from "./entered";
export { foldLog } from "./fold-log";
export { buildThatShows, generationThatShows } from "./found-build";
export { heldAct } from "./held-acts";
export { type ImpossibleEntry, judgeLog } from "./judge-log";
export { judgedTraces } from "./kept-traces";
export { PHASES, type Phase } from "./phases";
export { BAR, effectiveEvents, foundBefore, newestOwn, type Progress, replay } from "./progress";
export { proofPlace } from "./proof-place";
export { type Proof, prove, truthsOf } from "./prove";
export {
  type AsFound,
  type FoundOf,
  type JobRecord,
  jobRecord,
  type RecordLine,
} from "./record";
export type { Refusal } from "./refused";
export {
  advance,
  gate,
  haltedBy,
  isClosed,
  mayCloseEarly,
  notBegun,
  outOfService,
  type Run,
  run,
  type ShutGate,
} from "./run";
export { costOfWays, schoolsHere, type WayCost } from "./schools-here";
export { settle } from "./settle";
export { judgeStill } from "./standing-test";
export type { Step, StepKind, StepOf } from "./step";
export type { Danger } from "./step-head";
export { ASKED_TWICE } from "./step-rule";
export { actsOf } from "./step-rules";
export { lookWait, optionsOf } from "./steps/check";
export { staysAt } from "./steps/crack";
export { type FitRule, WIPED } from "./steps/fit";
export type { ProvePlace } from "./steps/gauge";
export { linesLeft, type TickLine } from "./steps/lines";
export type { Noted } from "./steps/mark";
export { type NotedFigure, unitOfFigure } from "./steps/noted-figure";
export { piecesLeft } from "./steps/pieces";
export type { Moved } from "./steps/standing";
export type { Doing } from "./steps/strip";
export { nextBolt, WRENCH_BAND } from "./steps/tighten";
export { countedOn, storeUse } from "./store-use";
export { sweptWith } from "./sweep";
export { tracedAt, withInstruments } from "./taken-by";
export { timesOf } from "./times";
export { type Gap, gapsOf, judgeTrace, type TraceVerdict, thinned } from "./traces";
export { type WhereItStands, whereItStands } from "./where-it-stands";
export { standsFor, type Worked, workedOf } from "./worked";
export { worldNow } from "./world-now";
