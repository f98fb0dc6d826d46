const cheaper = (dearer: number) => dearer < 0;

/** How deep one goes, and why not otherwise. */
export const depth = {
  title: "How deep",
  leak: { none: "No leak", seeps: "It seeps", runs: "It runs" },
  access: { easy: "Easy to get at", hard: "Hard to get at" },
  costs: { time: "time", parts: "parts", outage: "outage", "coming-back": "coming back" },
  comesBack: (percent: number, by: string | undefined) =>
    `${percent} of 100 come back ${by === undefined ? "within the year" : `before the visit of ${by}`}`,
  takes: (work: string, outage: string | undefined) =>
    outage === undefined ? `${work}, nobody goes without` : `${work}, without service for ${outage}`,
  renews: (names: string) => `New: ${names}`,
  renewsNothing: "Nothing goes in new",
  cheapest: (name: string, cost: string, less: string, next: string, mostly: string) =>
    `${name} costs the least: ${cost} all told, ${less} less than ${next.toLowerCase()}, mostly in ${mostly}.`,
  inHundred: (count: string) => `${count} in 100`,
  margins: {
    title: "What would change this",
    says: "One figure moved, all others as they are. In the brass part the advice stands.",
    figures: {
      "comes-back": (depth: string) => `${depth}: comes back`,
      parts: (depth: string) => `${depth}: parts`,
      minutes: (depth: string) => `${depth}: time`,
      hour: "An hour of work",
      trip: "A trip",
      "outage-hour": "An hour without service",
    },
    now: (value: string) => `now ${value}`,
    below: (at: string, depth: string) => `below ${at}: ${depth.toLowerCase()}`,
    above: (at: string, depth: string) => `above ${at}: ${depth.toLowerCase()}`,
    never: "Nothing that can be moved changes this.",
  },
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
