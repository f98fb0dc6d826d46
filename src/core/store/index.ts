export { bookEntries } from "./book-entries";
export { checkStore, otherCurrency } from "./check-store";
export type { Pieces } from "./cover";
export { answerCover, type CoverAnswer } from "./cover-question";
export { freePieces, freeStock, type Held, heldOf } from "./free-stock";
export type { IntegerProgram, IntegerSolver, Row, Variable } from "./integer-program";
export { cardOf, headOf, withCard, withoutItem } from "./item-card";
export {
  chooseKits,
  type KitChoice,
  type Leftover,
  type Missing,
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
export { type NotThisKit, offersOf, type StockOffer } from "./offers";
export { knownOf, type OrderList, orderList, received } from "./order-list";
export { smallSolver } from "./small-solver";
export { byPiece, nameOfPieces, pieceKey } from "./stack-pieces";
export { isOwnPlace, placeMeant, stockFor } from "./stock";
export { type Portion, type UsedUp, usedUp } from "./used-up";
