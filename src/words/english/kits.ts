/** What is renewed and why, what to bring, what is left over, when it is due. */
export const kits = {
  policy: {
    "on-condition": "Renewed on condition.",
    "what-was-disturbed": "A soft part that was moved: renewed as a set.",
    "everything-open": "Renewed while the valve is open.",
  },
  notDisturbed: "Not disturbed in this job: back to stock.",
  otherGeneration: (fits: string, is: string) => `fits generation ${fits}; this valve is ${is}`,
  pieces: (name: string, pieces: number) => (pieces > 1 ? `${name} × ${pieces}` : name),
  exactly: (name: string, pieces: number) => `${name} × ${pieces}`,
  renew: (why: string) => `renew: ${why}`,
  missing: "MISSING: no stock place has it",
  promised: (what: string) => `NOT FREE: ${what}. Ask there, or get another`,
  promisedTo: (name: string, place: string, what: string) => `${name} at ${place} is put aside for ${what}`,
  notThis: (name: string) => `Not ${name}`,
  leftOver: (why: string) => `will be left over: ${why}`,
  inCaseMissing: "no stock place has it; a look may condemn what is in: think of the second trip",
  inCase: (place: string) => `${place}; in case a look condemns what is in`,
  forTheRebuild: "for the rebuild",
  piecesOnly: (pieces: string, count: number, why: string) =>
    `${count === 1 ? "Piece" : "Pieces"} ${pieces} from the bottom. ${why}`,
  insteadOf: (name: string) => `In place of ${name}.`,
  placeAndNote: (place: string, note: string) => `${place}. ${note}`,
  standIns: (names: string) => `stand-in: ${names}`,
  due: {
    unknown: "Neither service nor installation is on record.",
    atOnce: "Due at once, whatever its date says.",
    set: "The date is set from outside, by an authority, an insurer or a contract.",
    season: (why: string) => `It rings before its season ends. ${why}`,
    count: (done: string, every: string, what: string) =>
      `${done} of ${every} ${what} since it was last done.`,
    countMet: (month: string) => `As it goes, it is through about ${month}.`,
    again: (days: number, why: string) =>
      `${days === 1 ? "The day" : `${days} days`} after the last job. ${why}`,
    shortened: (from: string, months: number) =>
      `${from} The sheet says ${months} months: what was found here made it shorter.`,
    own: (from: string, months: number) => `${from} Set by the site: the sheet says ${months} months.`,
    reported: (complaint: string) => `Due at once: ${complaint.toLowerCase()}.`,
    from: {
      service: (months: number, source: string) => `${months} months from its last service. ${source}.`,
      act: (months: number, source: string) => `${months} months from when it was last done. ${source}.`,
      installation: (months: number, source: string) => `${months} months from its installation. ${source}.`,
    },
  },
};
