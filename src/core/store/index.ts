export { checkStore } from "./check-store";
export { answerCover, type CoverAnswer } from "./cover-question";
export type { IntegerProgram, IntegerSolver } from "./integer-program";
export {
  chooseKits,
  type KitChoice,
  type Leftover,
  type NotThisKit,
  type Pick,
  type Purchase,
} from "./kit-choice";
export { smallSolver } from "./small-solver";
export { nameOfPieces, pieceKey } from "./stack-pieces";
export { stockFor } from "./stock";
