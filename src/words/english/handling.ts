/** How parts are handled: what can happen, what must not be used, what to try, whether the new one is right. */
export const handling = {
  dangers: {
    spills: "What is left behind it can push it off.",
    standAside: (cover: string) => `Stand to the side, face away from the ${cover.toLowerCase()}.`,
    neverHere: " If anything comes out, tighten again and prove zero anew: never let it out here.",
    loaded: "Keep it held while the last thread lets go; stand clear of its line.",
    drops: (part: string, weight: string) =>
      `The ${part.toLowerCase()} weighs ${weight} and drops when the last one is out.`,
    hoist: "Carry it on a hoist or jack, or lift with two. Feet clear, no finger in a bolt hole.",
    support: "Support it first. Feet clear, no finger in a bolt hole.",
  },
  tools: {
    hammer: "Hammer",
    "impact-driver": "Impact driver",
    "power-driver": "Power driver",
    "pipe-wrench": "Pipe wrench",
    "adjustable-spanner": "Adjustable spanner",
    "steel-pick": "Steel pick",
    "steel-scraper": "Steel scraper",
  },
  toolWhy: {
    "cracks-without-warning": "it cracks without warning. Use oil, heat and a steady pull",
    "cracks-what-is-clamped": "a shock cracks what the screws clamp",
    "strips-plastic": "it strips or cracks plastic before you feel it",
    "bites-soft-metal": "it bites the soft metal, and the flats round next time",
    "rounds-flats": "on soft brass it slips and rounds the flats",
    "scores-the-stem": "it scores the stem where the seal runs, or shears it",
    "scratches-the-groove": "a scratch in the groove leaks for good",
    "scratches-the-face": "a scratched sealing face lets through for good",
    "oil-was-chosen": "this job frees by oil and patience: nothing is hit",
  },
  tool: {
    range: (least: string, most: string) => `${least} to ${most}`,
    upTo: (most: string) => `up to ${most}`,
    bears: (weight: string) => `bears ${weight}`,
    reaches: (length: string) => `reaches ${length}`,
    standIn: (name: string, when: string) => `${name} (${when})`,
  },
  stuck: {
    names: { pull: "Steady pull", oil: "Oil", heat: "Heat", shock: "Shock", cut: "Cut" },
    oilAndTime: "Oil and time",
    how: {
      "steady-pull": () => "The right size, square on, both hands, no jerk.",
      "no-oil": () => "No oil on rubber or plastic: it swells or cracks. Warm water and patience.",
      "oil-and-time": () => "Penetrating oil, ten minutes, then pull again. Wipe it off before rebuilding.",
      "no-flame-near-gas": () => "Never near what burns. Stop here: hand it over.",
      "hot-water": ({ hot }: { hot: string }) => `Hot water only, under ${hot}: seals lie behind it.`,
      "warm-air": () => "Warm air round it, evenly, to hand-hot; then pull.",
      cracks: () => "Stop here. It cracks before it moves: renew the whole valve.",
      shears: () =>
        "Stop here. It shears before it moves, and the valve is lost: more oil, more time, or hand it over.",
      tap: () => "One sharp tap on the head, square, then pull.",
      "cut-out": () => "Cut it out, if a new one is in hand. Shield the faces beside it.",
      "oil-was-chosen": () => "Stop here: this job hits nothing. More oil, more time, or hand it over.",
      "in-no-kit": () => "Stop here: this one is in no kit.",
    },
  },
  newPart: {
    compareFirst: (feature: string, value: string) => `Compare its ${feature} first: it should be ${value}.`,
    differs: (feature: string, seen: string, value: string) =>
      `its ${feature} is ${seen}, and should be ${value}`,
    wrong: (part: string, differs: string) =>
      `Not this valve's ${part.toLowerCase()}: ${differs}. Put it aside and take the right one.`,
    lookAlike: (name: string, differs: string, why: string) => `This is ${name}: ${differs}. ${why}`,
    nothing: "nothing",
    somethingElse: "something else",
    found: (name: string, value: string) => `${name} ${value}`,
    rightOne: (found: string) => `the right one: ${found}`,
  },
  strip: {
    unknownPart: (part: string) => `This sheet has no part "${part}". Choose one from its list.`,
    stays: (part: string) =>
      `${part} stays in place: it cannot be taken off in service. Replace the whole valve if it has failed.`,
    heldFast: (part: string, by: string) =>
      `${part} is held by ${by}, which nothing frees. Correct the sheet.`,
    noWay: (part: string) => `The sheet shows no way to take ${part} off this build.`,
    wrongPosition: (part: string, position: string) =>
      `${part} comes off only in position "${position}", and by then nothing is left to move the valve with. Correct the sheet.`,
  },
};
