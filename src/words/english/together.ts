/** What is shut off once, and what never is out together. */
export const together = {
  saves: (what: string) => `Saves ${what}.`,
  costs: (what: string) => `Costs ${what}.`,
  minutes: (minutes: number) => `${minutes} min of the crew`,
  valves: (count: number) => `${count} ${count === 1 ? "valve" : "valves"} to turn`,
  litres: (volume: string) => `${volume} to drain and fill again`,
  outage: (minutes: number) => `${minutes} min without service, all users together`,
  unprotected: (vessel: string) => `${vessel} would have no relief valve left.`,
  turned: (valve: string) => `Each wants ${valve} turned another way.`,
  without: (name: string) => `${name} has service by the one while the other is shut.`,
  oneSection: "Their section is open to one job at a time: what comes out of two cannot be told apart.",
};
