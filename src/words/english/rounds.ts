/** Why a plan is as it is, and what would make room. */
export const rounds = {
  noCrews: "Nobody goes out with anybody yet. Put the crews together in the Loft, The house.",
  nobodyOnShift: (crews: string) =>
    `Nobody of ${crews} is on shift in the next weeks. Give the people a shift that the house has, in the Loft, Crew.`,
  noCompetence: (lacks: string) =>
    `Nobody of this crew may: ${lacks}. Take one along who may, or ask another crew.`,
  tooFew: (people: number, needs: number) =>
    `It needs ${needs} people, this crew has ${people}. Send a second person along.`,
  keptElsewhere: "It is kept with another crew or day. Free it there first.",
  noWindow:
    "The hours in which it may be done do not meet this shift. Ask for other hours, or choose another day.",
  tooLong: (minutes: number) =>
    `It does not fit into this shift by itself: ${minutes} min too long. Lengthen the shift, or do it in two visits.`,
  notWorthIt: (adds: number, leftOut: number) =>
    `There is room, but it would cost ${adds} min, and leaving it is set at ${leftOut} min. Raise what leaving it costs, or leave it.`,
  outTogether: (tasks: string) =>
    `It must not be out together with ${tasks}, and no other time is free. Move that, or choose another day.`,
  noRoom: (minutes: number) =>
    `This shift is full: ${minutes} min short. Take something off it, or lengthen it by as much.`,
  noFit:
    "Between what this shift does its hours or waits do not fit. Move what has a fixed time, or choose another day.",
  nobodyAble: (needs: string, people: number) =>
    needs === ""
      ? `No crew has ${people} people. Put them together.`
      : `No crew has all that it needs: ${people === 1 ? "" : `${people} people, `}${needs}. Put them together, or get the competence.`,
  noShiftInWindows:
    "Nobody is on shift in the hours in which it may be done. Ask for other hours, or add a shift.",
  noRoomInYear:
    "Every week in which it may be done is full, or doing it costs more than leaving it is set at. Add hours, widen its windows, or raise what leaving it costs.",
};
