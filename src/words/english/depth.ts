const cheaper = (dearer: number) => dearer < 0;

/** How deep one goes, and why not otherwise. */
export const depth = {
  title: "How deep",
  leak: { none: "No leak", seeps: "It seeps", runs: "It runs" },
  access: { easy: "Easy to get at", hard: "Hard to get at" },
  costs: { time: "time", parts: "parts", outage: "outage", "coming-back": "coming back" },
  comesBack: (percent: number) => `${percent} of 100 come back within the year`,
  all: (cost: string) => `${cost} all told`,
  least: "The least, all told",
  other: (dearer: number, money: string, mostly: string) =>
    cheaper(dearer) ? `${money} cheaper, mostly its ${mostly}` : `${money} dearer, mostly its ${mostly}`,
  same: "It costs the same",
  whyDearer: "Why this one, though another costs less?",
  whyMissing: "Say why: it stands in the record.",
  noRates:
    "Give the store its rates (an hour, a trip, an hour of outage): then the depths are weighed against each other.",
  chosen: (name: string, cost: string) => `${name}: ${cost} all told`,
  notChosen: (name: string, why: string) => `Not ${name.toLowerCase()}: ${why}`,
  found: (leak: string, access: string) => `${leak}. ${access}.`,
};
