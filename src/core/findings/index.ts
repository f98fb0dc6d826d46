export { type Finding, judge } from "./judge";
export { type Renewal, renewals } from "./renewals";
