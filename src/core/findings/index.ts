export { type Finding, judge, type Observation, type PieceFound } from "./judge";
export { ofPieces, type Renewal, renewals } from "./renewals";
