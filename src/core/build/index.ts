export { assembly } from "./assembly";
export { checkSheet } from "./check-sheet";
export { stripMessage } from "./messages";
export { planRebuild, type RebuildMove } from "./rebuild-plan";
export { spoiledBy } from "./renewals";
export { planStrip, type StripDemand, type StripFailure, type StripMove, type StripPlan } from "./strip-plan";
export { type TrayAccount, type TrayItem, type TrayPlace, trayAccount } from "./tray";
