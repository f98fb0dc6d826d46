import type { Caution, Line, LineLink, LineNode, Medium } from "../formats";
import { formatKept, type UnitSystem } from "../quantity";

/** What a medium demands of whoever opens a pipe that held it. */
export interface MediumRule {
  /** What it is called in a sentence. */
  readonly name: string;
  /** A section can be full of liquid, which no valve lets expand. */
  readonly liquid: boolean;
  /**
   * Whether the last rung of the ladder of releasing, the cover itself with two bolts left in, may be used. Never for
   * what scalds, poisons, burns or chokes.
   */
  readonly crackCover: boolean;
  /** Temperature counts when it stands for a proof: a shut-in gas or residue rises with warming alone. */
  readonly standsWithTemperature: boolean;
  readonly permit?: { readonly title: string; readonly says: string };
  /** What can happen where it comes out, and what to do. */
  readonly release: (say: Say) => Caution;
}

/** Says a figure, given with the id of its unit, in the reader's unit. */
type Say = (value: number, unitId: string) => string;

const REFRIGERANT = (name: string, release: MediumRule["release"]): MediumRule => ({
  name,
  liquid: true,
  crackCover: false,
  standsWithTemperature: true,
  permit: {
    title: "Refrigerant work",
    says: "Ask for the plant's permit. Licensed or competent people only; two together; the local code and the plant's own rules decide.",
  },
  release,
});

export const MEDIA_RULES: Record<Medium, MediumRule> = {
  water: {
    name: "water",
    liquid: true,
    crackCover: true,
    standsWithTemperature: false,
    release: () => ({
      can: "Water from the drain ices or washes out the ground.",
      do: "Lead it to a gully. Keep people off.",
    }),
  },
  steam: {
    name: "steam",
    liquid: false,
    crackCover: false,
    standsWithTemperature: false,
    permit: {
      title: "Hot work and steam",
      says: "Ask for the boiler house's permit; the person in charge of the boiler agrees every closure.",
    },
    release: () => ({
      can: "Steam that is let out cannot be seen at the nozzle and scalds to the bone; condensate flashes.",
      do: "Open the bleed by a crack, stand aside, gloves and face shield on. Wait until it is cold.",
    }),
  },
  condensate: {
    name: "condensate",
    liquid: true,
    crackCover: false,
    standsWithTemperature: false,
    release: (say) => ({
      can: "Condensate near boiling flashes to steam as it comes out.",
      do: `Let it cool below ${say(45, "°C")} first. Open by a crack.`,
    }),
  },
  gas: {
    name: "gas",
    liquid: false,
    crackCover: false,
    standsWithTemperature: true,
    permit: {
      title: "Gas work",
      says: "Only people licensed for gas, under the operator's procedure. Every appliance that goes out is relit or made safe.",
    },
    release: () => ({
      can: "Gas that collects explodes at the first spark.",
      do: "No flame, no switch. Air the room. Vent outdoors by the operator's procedure.",
    }),
  },
  air: {
    name: "air",
    liquid: false,
    crackCover: true,
    standsWithTemperature: true,
    release: () => ({
      can: "Compressed air throws dirt and loose parts.",
      do: "Open the vent slowly. Eyes protected.",
    }),
  },
  ammonia: REFRIGERANT("ammonia", () => ({
    can: "Ammonia burns eyes and lungs; a cloud can catch fire. Liquid freezes skin.",
    do: "Mask and gloves on, wind at your back, a second person outside, water ready. Vent only where the plant allows.",
  })),
  co2: REFRIGERANT("CO2", (say) => ({
    can: `CO2 chokes without warning and lies in low places. Below ${say(5.2, "bar abs")} liquid turns to dry ice, plugs the vent and hides pressure.`,
    do: `Gas alarm on, room aired. Let liquid out at the low point while the pressure is above ${say(7, "bar g")}, then vapour slowly.`,
  })),
  oil: {
    name: "oil",
    liquid: true,
    crackCover: true,
    standsWithTemperature: false,
    release: () => ({
      can: "Oil from a refrigerating plant holds refrigerant and foams as it comes out.",
      do: "Drain slowly into an open vessel, mask on. Never leave a drain open alone.",
    }),
  },
  electricity: {
    name: "electricity",
    liquid: false,
    crackCover: false,
    standsWithTemperature: false,
    permit: {
      title: "Electrical isolation",
      says: "A competent person locks it off and proves it dead: tester on a live point, on this one, on the live point again.",
    },
    release: () => ({
      can: "A terminal that somebody else feeds is still live.",
      do: "Test every terminal, to earth and to each other.",
    }),
  },
};

/** What can happen where this medium comes out, and what to do, in the reader's units. */
export const releaseCaution = (medium: Medium, system: UnitSystem): Caution =>
  MEDIA_RULES[medium].release((value, unitId) => formatKept(value, unitId, system));

export const mediumOf = (line: Line, part: LineNode | LineLink): Medium => part.medium ?? line.medium;

/** The medium that a line's own rule (one barrier, or two with a bleed) is made for; electricity needs one lock only. */
export const underLineRule = (line: Line, part: LineNode | LineLink): boolean =>
  mediumOf(line, part) === line.medium || (part.medium !== "electricity" && part.medium !== "air");
