import type { EndCondition } from "@/core/formats";
import { quantity, type Speaker } from "./speaker";

/** Where tightening ends; a torque in the reader's unit. */
export function endWords(speaker: Speaker, end: EndCondition, torque_Nm?: number): string {
  const words = speaker.say.card.ends;
  const length = (mm: number) => quantity(speaker, mm / 1000, "length");
  switch (end.kind) {
    case "torque":
      return words.torque(quantity(speaker, torque_Nm ?? end.torque_Nm, "torque"));
    case "angle":
      return words.angle(end.fromContact_deg);
    case "hand-tight":
      return words.handTight;
    case "snug":
      return words.snug;
    case "flush":
      return words.flush;
    case "touch-and-back-off":
      return words.backOff(
        turnsInWords(end.backOff_turns),
        // A screw moves by its pitch with each turn.
        end.pitch_mm === undefined ? undefined : length(end.backOff_turns * end.pitch_mm),
      );
    case "touch":
      return words.touch;
    case "seat-to-depth":
      return words.depth(length(end.depth_mm), length(end.tolerance_mm));
    case "until-stop":
      return words.until(end.seen);
    case "seated":
      return end.seen;
    case "to-ask-for":
      return words.toAskFor(end.whom);
  }
}

/** Turns as a technician says them: an eighth, a quarter, a half. */
export function turnsInWords(turns: number): string {
  const known = [
    [0.125, "1/8"],
    [0.25, "1/4"],
    [0.5, "1/2"],
  ] as const;
  return known.find(([value]) => Math.abs(value - turns) < 1e-6)?.[1] ?? `${turns}`;
}
