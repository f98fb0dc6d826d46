export { LOUD_MS, type Manner, mannerOf, mayWait, strikesAfter } from "./manner";
export { inRingingOrder } from "./order";
export { inQuiet, type LocalMinute, QUIET_USUALLY, type Quiet, quietEnds } from "./quiet";
export { type Heard, type Ringable, type Ringing, rings, soundsAt } from "./rings";
