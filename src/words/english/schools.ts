/** Where practitioners differ: the ways there are, what speaks for and against each. */
export const schools = {
  title: "How it is worked",
  says: "Where good people differ. The usual way here is chosen; another one needs a reason, and stands in the record.",
  topics: {
    gasket: "Flange gasket",
    freeing: "What is stuck",
    cleaning: "Cleaning",
    lubricant: "Grease on seals",
    threads: "Bolts and studs",
  },
  ways: {
    gasket: { "full-face": "Full face, a hole for each bolt", ring: "Ring, inside the bolts" },
    freeing: { oil: "Oil and patience", shock: "A shock on each head" },
    cleaning: {
      acid: "Acid, until the fizzing ends",
      water: "Warm water and a soft brush",
      dry: "Dry cloth and a wooden needle",
    },
    lubricant: {
      silicone: "Silicone grease",
      "food-grade": "Food-grade grease, no silicone",
      none: "No grease",
    },
    threads: { "anti-seize": "Anti-seize on each", dry: "Clean and dry" },
  },
  risks: {
    gasket: {
      "full-face": "It is prised out, and the pull spreads over more face.",
      ring: "It drops in with two bolts in place; outside it nothing keeps the rims apart.",
    },
    freeing: {
      oil: "It takes its minutes. What stays on a seal swells it: wipe it off.",
      shock: "A head that breaks is drilled out for an hour.",
    },
    cleaning: {
      acid: "Beyond its end it eats the metal; what is left of it goes on eating.",
      water: "What is hard stays on.",
      dry: "What is wet is smeared, and a grain may stay.",
    },
    lubricant: {
      silicone: "It swells silicone rubber.",
      "food-grade": "It washes out sooner.",
      none: "A seal tears as it goes in dry.",
    },
    threads: {
      "anti-seize": "At the figure for a dry thread it would pull far too hard: only the figure shown.",
      dry: "It rusts fast: next time it breaks out harder, or breaks.",
    },
  },
  usual: (why: string) => `Usual here. ${why}`,
  because: {
    sheet: "Its sheet does it so.",
    sheetSays: (says: string) => `Its sheet: ${says}`,
    "stated-for-it": "Its torque is stated for a dry thread.",
    "flat-and-brittle": (part: string) =>
      `Flat faces to the rim: outside a ring the bolts would bend the ${part.toLowerCase()}.`,
    "inside-the-bolts": "Its faces meet inside the bolts.",
    "in-a-recess": "It lies in a recess.",
    "shock-breaks": (part: string) => `A shock could break something at the ${part.toLowerCase()}.`,
    "burns-near": "What is left of the medium burns: no spark here.",
    "breaks-nothing": "It costs minutes, and breaks nothing.",
  },
  not: {
    "not-on-its-sheet": "its sheet has none: ask its maker before anything else goes on",
    "face-unknown": "its sheet does not say how its faces are: look, and ask",
    "bends-the-rim": (part: string) =>
      `its faces are flat and the bolts strong: outside a ring they bend the ${part.toLowerCase()}`,
    "does-not-lie-in-a-recess": "it lies in a recess: a full face does not go in",
    "no-kit-cut-so": "no kit of its sheet is cut so",
    cracks: "it, or what it clamps, cracks",
    deforms: "soft metal: the head is beaten out of shape",
    "burns-near": "what is left of the medium burns: no spark here",
    "must-lock": "this thread has to lock",
    "must-seal": "this thread has to seal",
    "greased-already": "it is greased already",
    "dry-by-design": "it stays dry by design",
    "not-for-drinking-water": "people drink what touches it, and it is not listed for that",
    "torn-dry": "it slides or seals: dry it is torn as it goes in",
    "ruins-electrics": "electric parts are off in this job: water ruins them",
  },
  barred: (why: string) => `Not here: ${why}.`,
  barredAt: (part: string, why: string) => `Not here. ${part}: ${why}.`,
  keeps: (parts: string, why: string) => `As their sheet says all the same: ${parts} (${why}).`,
  costs: {
    minutes: (more: number, minutes: string) => (more < 0 ? `${minutes} less` : `${minutes} more`),
    price: (more: number, money: string) => (more < 0 ? `${money} cheaper` : `${money} dearer`),
    torque: (part: string, from: string, to: string) => `${part}: ${to} instead of ${from}`,
    missing: (parts: string) => `nobody has it: ${parts}`,
    same: "Costs the same",
  },
  why: "Why not the usual way?",
  done: (topic: string, way: string) => `${topic}: ${way}, as usual`,
  mixed: (way: string) => `Mostly ${way.toLowerCase()}`,
  departed: (topic: string, way: string, usual: string, why: string) =>
    `${topic}: ${way}. Usual here: ${usual.toLowerCase()}. Why: ${why}`,
  card: {
    title: {
      oil: "Let penetrating oil creep into each, and do not hit it.",
      shock: "Shock each head once, punch square on, before a spanner goes on.",
      water: "Wash with warm water and a soft brush.",
      dry: "Wipe with a dry cloth; what is in a hole comes out with a wooden needle.",
    },
    why: (why: string) => `Not the usual way: ${why}`,
  },
  refused: {
    "does-not-arise": "Nothing in this job asks for it. Leave it out.",
    "no-such-way": (ways: string) => `There is no such way. Choose one of: ${ways}.`,
    twice: "It is chosen twice. Choose one way.",
    "say-why": "Say why it is not done the usual way: it stands in the record.",
  },
};
