import type { Line, LineLink, LineNode, Medium, Stream } from "../formats";

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
  /** Boils, freezes or hammers where it meets air or a void: it comes back by vacuum, vapour and a reading. */
  readonly refrigerant: boolean;
}

const REFRIGERANT: MediumRule = {
  liquid: true,
  crackCover: false,
  standsWithTemperature: true,
  permit: "refrigerant",
  refrigerant: true,
};

export const MEDIA_RULES: Record<Medium, MediumRule> = {
  water: { liquid: true, crackCover: true, standsWithTemperature: false, refrigerant: false },
  steam: {
    liquid: false,
    crackCover: false,
    standsWithTemperature: false,
    permit: "steam",
    refrigerant: false,
  },
  condensate: { liquid: true, crackCover: false, standsWithTemperature: false, refrigerant: false },
  gas: {
    liquid: false,
    crackCover: false,
    standsWithTemperature: true,
    permit: "gas",
    refrigerant: false,
  },
  air: { liquid: false, crackCover: true, standsWithTemperature: true, refrigerant: false },
  ammonia: REFRIGERANT,
  co2: REFRIGERANT,
  oil: { liquid: true, crackCover: true, standsWithTemperature: false, refrigerant: false },
  electricity: {
    liquid: false,
    crackCover: false,
    standsWithTemperature: false,
    permit: "electrical",
    refrigerant: false,
  },
};

/** Below this liquid CO2 turns to dry ice: its triple point, 5.18 bar (Span and Wagner 1996), bar absolute. */
export const CO2_TRIPLE_BAR_ABS = 5.2;
/** What a section of CO2 is held above before liquid is let into or out of it, with room for a gauge's error, bar gauge. */
export const CO2_LIQUID_ABOVE_BAR = 7;

export const mediumOf = (line: Line, part: LineNode | LineLink): Medium => part.medium ?? line.medium;

/** What runs through a valve: its own stream, else that of the place before or behind it, else its medium. */
export function flowOf(line: Line, link: LineLink): Medium | Stream {
  const at = (id: string) => line.nodes.find((each) => each.id === id)?.stream;
  return link.stream ?? at(link.from) ?? at(link.to) ?? mediumOf(line, link);
}

/** The medium that a line's own rule (one barrier, or two with a bleed) is made for; electricity needs one lock only. */
export const underLineRule = (line: Line, part: LineNode | LineLink): boolean =>
  mediumOf(line, part) === line.medium || (part.medium !== "electricity" && part.medium !== "air");
