export { type Answer, type Finding, judge } from "./judge";
export { addMonths, type Due, dues } from "./next-due";
export { type Renewal, renewals } from "./renewals";
