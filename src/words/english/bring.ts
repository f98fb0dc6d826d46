const days = (count: number) => (count === 1 ? "1 day" : `${count} days`);

/** What to bring before one goes there, and what that is worth. */
export const bring = {
  title: "What to bring",
  first: (inHundred: string) => `${inHundred} in 100 finished on this visit`,
  short: (inHundred: string) => `${inHundred} in 100`,
  shares: {
    finished: "finished on this visit",
    uncovered: "a part or a tool is not along",
    others: "it is for somebody else",
    unknown: "nobody can pack for it",
  },
  leave: (count: number) => (count === 0 ? "Go now" : `In ${days(count)}`),
  waiting: (count: number, inHundred: string) =>
    `${inHundred} in 100 if you wait ${days(count)} for what is ordered. The waiting costs more than the second trip.`,
  worthWaiting: (count: number, inHundred: string) =>
    `Now it would be ${inHundred} in 100: a second trip costs more than to wait ${days(count)}.`,
  without: (inHundred: string) => `without it ${inHundred} in 100`,
  anyOf: (says: string) => `Of each of these: ${says}`,
  of: (place: string) => `from ${place}`,
  ordered: (place: string, count: number) => `ordered of ${place}, ${days(count)}`,
  lacks: (names: string) => `Nobody has: ${names}.`,
  later: (name: string, place: string, count: number) => `${name}: ${place}, in ${days(count)}.`,
  notWorth: "Not worth its weight, or the way to fetch it",
  none: "No part is needed, or none helps: go with what is in your hand.",
  working: "Working out what may be needed …",
  van: "Your van",
  goes: { van: "By van", foot: "On foot" },
  for: (end: string) => `For: ${end}`,
  ask: "What to bring",
  hide: "Put the list away",
  kit: "Kits and parts",
  tools: "Tools",
  notCovered: "Not covered",
  weighs: (kg: string) => `About ${kg} in all, by what is drawn and what such tools weigh`,
  proven: "Nothing else is worth more, for what it costs and weighs.",
  unproven: "The best that was found in time; it is not proven.",
  assumed: (inHundred: string) =>
    `A look inside is taken to condemn one more part in ${inHundred} of 100 jobs.`,
  packed: (count: number, of: number) => (count === of ? "All of it is packed." : `${count} of ${of} packed`),
};
