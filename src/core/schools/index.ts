export { type ChoiceRefusal, chooseWays } from "./choose";
export { cleansOtherwise } from "./cleaning";
export { oilable, shockable } from "./freeing";
export type { NotBecause, Offer, UsualBecause, WayHere } from "./school";
export { otherWay, schoolOffers, withWays } from "./ways";
