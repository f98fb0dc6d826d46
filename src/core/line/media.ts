import type { Line, LineLink, LineNode, Medium } from "../formats";

/** A permit to ask for: a reminder; the site's rules and the local code decide. */
export type PermitKind = "refrigerant" | "steam" | "gas" | "electrical" | "confined";

/** What a medium demands of whoever opens a pipe that held it. */
export interface MediumRule {
  /** A section can be full of liquid, which no valve lets expand. */
  readonly liquid: boolean;
  /**
   * Whether the last rung of the ladder of releasing, the cover itself with two bolts left in, may be used. Never for
   * what scalds, poisons, burns or chokes.
   */
  readonly crackCover: boolean;
  /** Temperature counts when it stands for a proof: a shut-in gas or residue rises with warming alone. */
  readonly standsWithTemperature: boolean;
  readonly permit?: PermitKind;
}

const REFRIGERANT: MediumRule = {
  liquid: true,
  crackCover: false,
  standsWithTemperature: true,
  permit: "refrigerant",
};

export const MEDIA_RULES: Record<Medium, MediumRule> = {
  water: { liquid: true, crackCover: true, standsWithTemperature: false },
  steam: { liquid: false, crackCover: false, standsWithTemperature: false, permit: "steam" },
  condensate: { liquid: true, crackCover: false, standsWithTemperature: false },
  gas: { liquid: false, crackCover: false, standsWithTemperature: true, permit: "gas" },
  air: { liquid: false, crackCover: true, standsWithTemperature: true },
  ammonia: REFRIGERANT,
  co2: REFRIGERANT,
  oil: { liquid: true, crackCover: true, standsWithTemperature: false },
  electricity: { liquid: false, crackCover: false, standsWithTemperature: false, permit: "electrical" },
};

/** Below this liquid CO2 turns to dry ice: its triple point, 5.18 bar (Span and Wagner 1996), bar absolute. */
export const CO2_TRIPLE_BAR_ABS = 5.2;
/** What a section of CO2 is held above before liquid is let into or out of it, with room for a gauge's error, bar gauge. */
export const CO2_LIQUID_ABOVE_BAR = 7;

export const mediumOf = (line: Line, part: LineNode | LineLink): Medium => part.medium ?? line.medium;

/** The medium that a line's own rule (one barrier, or two with a bleed) is made for; electricity needs one lock only. */
export const underLineRule = (line: Line, part: LineNode | LineLink): boolean =>
  mediumOf(line, part) === line.medium || (part.medium !== "electricity" && part.medium !== "air");
