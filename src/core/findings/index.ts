export { type Finding, judge } from "./judge";
export { ofPieces, type Renewal, renewals } from "./renewals";
