export { mannerOf, mayWait, strikesAfter } from "./manner";
export { inRingingOrder } from "./order";
export { inQuiet, QUIET_USUALLY, quietEnds } from "./quiet";
export { type Heard, type Ringable, type Ringing, rings, soundsAt } from "./rings";
