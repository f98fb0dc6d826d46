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
      return `until it touches, then ${end.backOff_turns} turn back`;
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
