export { accessWords, signInWords } from "./access";
export { aloudEnd, aloudWords } from "./aloud";
export { beginRefused } from "./begin";
export { bellWords, type SpokenBell } from "./bells";
export { editSays } from "./book";
export { itemLine, type PackLine, packingNote, toolLine, uncoveredWords } from "./bring";
export { changeWords } from "./changes";
export { cheapestWords, marginWords, moneyWords, otherDepth } from "./depth";
export { drawnWords } from "./drawn";
export { endWords, turnsInWords } from "./end-words";
export { certificateWords, entryWords } from "./entries";
export { fitRuleWords, threadNote, tightenTitle } from "./fit-words";
export {
  barredWords,
  dangerWords,
  markWords,
  newPartWords,
  standIns,
  stripMessage,
  stuckWords,
  toolName,
} from "./handling";
export { differenceWords, harmWords, type Names, truthWords } from "./harms";
export { howLongWords } from "./how-long";
export {
  doubtWords,
  gapWords,
  noReadingWords,
  shownFigure,
  takenWithWords,
  traceEntry,
  traceFigure,
  traceVerdictWords,
} from "./instruments";
export {
  actWhy,
  actWords,
  closureWhy,
  heldWhere,
  isolationMessage,
  lockedWords,
  namedLink,
  proveWords,
  standingWords,
  storedAt,
  storedKind,
  storedWords,
} from "./isolation";
export {
  besideTheLines,
  dueWhat,
  dueWhy,
  kitLines,
  type ListLine,
  leftoverWhy,
  promisedWords,
  renewalWhy,
} from "./kits";
export { limitWords, unitOfCheck } from "./limit-words";
export { joinMessage, splitMessage } from "./line-making";
export { lostName } from "./lost";
export { releaseCaution } from "./media";
export { dayBlocks } from "./papers/day-paper";
export { isolationBlocks, isolationSet } from "./papers/isolation-paper";
export { handOverBlocks, orderBlocks, orderTitle } from "./papers/job-papers";
export { type Drawn, listOf, type Paper, type PaperBlock, type PaperRow, type Said } from "./papers/paper";
export {
  customerBlocks,
  logBlock,
  nextBlock,
  recordBlocks,
  type Standing,
  wholeness,
} from "./papers/record-paper";
export { tracesDrawn } from "./papers/traces-block";
export { troubleBlocks } from "./papers/trouble-paper";
export { asFoundWords } from "./record";
export { competences, gateWords, impossibleWords, refusalWords } from "./refusals";
export { effectWords, noCrewsWords, whyNotWords, whyNoWeekWords } from "./rounds";
export {
  barredWhy,
  keepsWords,
  schoolsWords,
  usualName,
  usualWhy,
  wayCosts,
  wayName,
  wayRefused,
  wayRisk,
} from "./schools";
export { type Language, quantity, type Speaker, speaker } from "./speaker";
export { spokenPlan } from "./spoken-plan";
export { type StepWords, stepDangers, stepTitle, stepWords } from "./step-words";
export { moveKind, moveRefused } from "./store";
export { apartWords, savesWords } from "./together";
export { courseWords } from "./trends";
export {
  answerWords,
  boundWords,
  causeName,
  endKind,
  endTitle,
  inHundred,
  leadWords,
  minutesWords,
  needsWords,
  oddsReasons,
} from "./trouble";
