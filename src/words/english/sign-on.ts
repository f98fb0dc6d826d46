/** Who may work on it, before anything is done. */
export const signOn = {
  title: (what: string) => `This is work on ${what}.`,
  why: "It can hurt more people than the one who does it. Whoever works on it may do so alone, or works under the eye of one who may and who stays here. Local code and the site's own rules decide further.",
  yours: (who: string, papers: string) => `${who}: ${papers}.`,
  alone: (who: string) => `${who}: I may, and I do it`,
  lacks: (who: string, what: string) =>
    `Nothing that holds today says that ${who} may work on ${what} alone.`,
  under: "Under whose eye? That person stays here, watches, and is named on the record.",
  watches: (who: string) => `${who} watches over it`,
  nobody: (what: string) =>
    `Nobody of the crew may work on ${what} today. Stop here: shut nothing, open nothing, and get somebody who may.`,
  signsInFirst: (who: string) => `${who} signs in on this device first`,
  beforeTrip: (what: string, who: string) => `This job is work on ${what}. Who may: ${who}.`,
  beforeTripNobody: (what: string) =>
    `This job is work on ${what}, and nobody of the crew may do it today. Do not set out before somebody is found.`,
  anotherProves: "Another person proves zero.",
  anotherProvesWhy: (who: string) =>
    `${who} shut it off. The rule of this house is that another one reads the gauge and says that it is dead.`,
};
