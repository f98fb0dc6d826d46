export { type Finding, judge } from "./judge";
export { mayCondemn } from "./may-condemn";
export { ofPieces, type Renewal, renewals } from "./renewals";
