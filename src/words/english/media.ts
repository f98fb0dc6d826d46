const names = {
  water: "water",
  steam: "steam",
  condensate: "condensate",
  gas: "gas",
  air: "air",
  ammonia: "ammonia",
  co2: "CO2",
  oil: "oil",
  electricity: "electricity",
};

/** What media are called, and what they do where they come out. */
export const media = {
  names,
  comesOut: {
    water: () => ({
      can: "Water from the drain ices or washes out the ground.",
      do: "Lead it to a gully. Keep people off.",
    }),
    hotWater: ({ cool }: { cool: string }) => ({
      can: "Hot water scalds in seconds.",
      do: `Let it run off where nobody stands, by a crack first. Hands off until it is below ${cool}.`,
    }),
    steam: () => ({
      can: "Steam that is let out cannot be seen at the nozzle and scalds to the bone; condensate flashes.",
      do: "Open the bleed by a crack, stand aside, gloves and face shield on. Wait until it is cold.",
    }),
    condensate: ({ cool }: { cool: string }) => ({
      can: "Condensate near boiling flashes to steam as it comes out.",
      do: `Let it cool below ${cool} first. Open by a crack.`,
    }),
    gas: () => ({
      can: "Gas that collects explodes at the first spark.",
      do: "No flame, no switch. Air the room. Vent outdoors by the operator's procedure.",
    }),
    air: () => ({
      can: "Compressed air throws dirt and loose parts.",
      do: "Open the vent slowly. Eyes protected.",
    }),
    ammonia: () => ({
      can: "Ammonia burns eyes and lungs; a cloud can catch fire. Liquid freezes skin.",
      do: "Mask and gloves on, wind at your back, a second person outside, water ready. Vent only where the plant allows.",
    }),
    co2: ({ ice, above }: { ice: string; above: string }) => ({
      can: `CO2 chokes without warning and lies in low places. Below ${ice} liquid turns to dry ice, plugs the vent and hides pressure.`,
      do: `Gas alarm on, room aired. Let liquid out at the low point while the pressure is above ${above}, then vapour slowly.`,
    }),
    oil: () => ({
      can: "Oil from a refrigerating plant holds refrigerant and foams as it comes out.",
      do: "Drain slowly into an open vessel, mask on. Never leave a drain open alone.",
    }),
    electricity: () => ({
      can: "A terminal that somebody else feeds is still live.",
      do: "Test every terminal, to earth and to each other.",
    }),
  },
  /** What a stop lets in, by its stream or its medium. */
  flows: {
    ...names,
    electricity: "power",
    hot: "hot water",
    cold: "cold water",
    mixed: "the mixed outlet",
    liquid: "liquid",
    suction: "the suction side",
    "hot-gas": "hot gas",
    pilot: "the pilot line",
    vapour: "vapour",
  },
  permits: {
    refrigerant: {
      title: "Refrigerant work",
      says: "Ask for the plant's permit. Licensed or competent people only; two together; the local code and the plant's own rules decide.",
    },
    steam: {
      title: "Hot work and steam",
      says: "Ask for the boiler house's permit; the person in charge of the boiler agrees every closure.",
    },
    gas: {
      title: "Gas work",
      says: "Only people licensed for gas, under the operator's procedure. Every appliance that goes out is relit or made safe.",
    },
    electrical: {
      title: "Electrical isolation",
      says: "A competent person locks it off and proves it dead: tester on a live point, on this one, on the live point again.",
    },
    confined: {
      title: "Confined space",
      says: "Test the air before and during, one person stays outside with a way to call, rescue gear is ready. The site's rules decide who may go in.",
    },
  },
};
