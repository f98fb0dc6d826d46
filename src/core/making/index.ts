export { type JoinFailure, joinLines } from "./join";
export { type Limits, lacking, type OwnModel, ownSheet } from "./own-sheet";
export { renamePart } from "./part-ids";
export { PIECES, withPiece } from "./pieces";
export { figuresOf, type SheetFigure, toleranceKey } from "./sheet-figures";
export { type SplitFailure, splitLine } from "./split";
export { LINE_TEMPLATES, type LineTemplate } from "./templates";
export { mayLack, withoutPart } from "./without-part";
