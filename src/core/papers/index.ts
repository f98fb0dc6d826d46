export { LABEL_SHEETS, type LabelSheet, labelPlace } from "./label-sheet";
