export { bookEntries } from "./book-entries";
export { checkStore, otherCurrency } from "./check-store";
export { answerCover, type CoverAnswer } from "./cover-question";
export { freePieces, freeStock, type Held, heldOf } from "./free-stock";
export type { IntegerProgram, IntegerSolver } from "./integer-program";
export { cardOf, headOf, withCard, withoutItem } from "./item-card";
export {
  chooseKits,
  type KitChoice,
  type Leftover,
  type Missing,
  type NotThisKit,
  type Pick,
  type Purchase,
} from "./kit-choice";
export {
  type Asked,
  changeAt,
  type MovementFailure,
  moved,
  notAside,
  rowAt,
  stockAt,
  undone,
} from "./ledger";
export { mergeStores, withoutTwins } from "./merge-stores";
export { knownOf, type OrderList, orderList, received } from "./order-list";
export { smallSolver } from "./small-solver";
export { nameOfPieces, pieceKey } from "./stack-pieces";
export { isOwnPlace, placeMeant, stockFor } from "./stock";
export { type Portion, type UsedUp, usedUp } from "./used-up";
