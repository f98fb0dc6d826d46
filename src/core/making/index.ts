export { type JoinFailure, joinLines } from "./join";
export { PIECES, withPiece } from "./pieces";
export { type SplitFailure, splitLine } from "./split";
export { LINE_TEMPLATES, type LineTemplate } from "./templates";
