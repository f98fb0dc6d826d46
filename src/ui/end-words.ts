import type { EndCondition } from "@/core/formats";
import { formatQuantity, type UnitSystem } from "@/core/quantity";

/** Where tightening ends, in words; a torque in the reader's unit. */
export function endWords(end: EndCondition, system: UnitSystem, torque_Nm?: number): string {
  switch (end.kind) {
    case "torque":
      return `to ${formatQuantity(torque_Nm ?? end.torque_Nm, "torque", system)}`;
    case "angle":
      return `${end.fromContact_deg}° from contact`;
    case "hand-tight":
      return "hand tight";
    case "snug":
      return "snug, no further";
    case "flush":
      return "flush, no further";
    case "touch-and-back-off":
      return `until it touches, then ${turnsInWords(end.backOff_turns)} turn back`;
    case "seat-to-depth":
      return `${formatQuantity(end.depth_mm / 1000, "length", system)} deep, ± ${formatQuantity(end.tolerance_mm / 1000, "length", system)}`;
    case "until-stop":
      return `until ${end.seen}`;
    case "seated":
      return end.seen;
    case "to-ask-for":
      return `figure to ask for: ${end.whom}`;
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
