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
  neededThere: (tasks: string) =>
    `Without it ${tasks} cannot be done there: it shuts off for them. Move that first.`,
  noFit:
    "Between what this shift does its hours or waits do not fit. Move what has a fixed time, or choose another day.",
  /** What a move does. */
  min: (minutes: number) => {
    const [hours, rest] = [Math.floor(minutes / 60), Math.round(minutes % 60)];
    return hours === 0 ? `${rest} min` : rest === 0 ? `${hours} h` : `${hours} h ${rest} min`;
  },
  crewMore: (time: string) => `${time} of a crew more.`,
  crewLess: (time: string) => `${time} of a crew less.`,
  crewSame: "It takes the crews no longer.",
  kmMore: (km: string) => `${km} km more.`,
  kmLess: (km: string) => `${km} km less.`,
  outageMore: (time: string) => `Without service ${time} longer.`,
  outageLess: (time: string) => `Without service ${time} shorter.`,
  overShift: (back: string, time: string) => `Back at ${back}, ${time} after the shift.`,
  backAt: (back: string) => `Back at ${back}.`,
  lateDays: (days: number) => `It is done ${days} ${days === 1 ? "day" : "days"} late.`,
  othersLater: (others: string) => `Others begin later: ${others}.`,
  otherTime: (task: string, was: string, is: string) => `${task} ${is} instead of ${was}`,
  othersEarlier: (count: number) => `${count} ${count === 1 ? "other begins" : "others begin"} earlier.`,
  andMore: (count: number) => `${count} more`,
  notInPlan: "It rings since the plan was made, or was taken out. Put it somewhere, or plan again.",
  fellOut: (crew: string, why: string) => `It was planned with ${crew}. ${why}`,
  otherHour: "Another hour of the same day: what else the crew does then is another.",
  dearerThere: (minutes: number) => `There it would take ${minutes} min of a crew more now.`,
  noDearerThere: "It could still be there at no more cost: the weeks as a whole take less so.",
  gone: "It does not ring any more.",
  new: "New in the plan.",
  unknownWork: (task: string) => `${task} is nothing that rings now. Load the plan again.`,
  oneMove: "Say one of the three: to which shift it goes, that it is out, or that it may be moved.",
  unknownShift: (crew: string) => `${crew} has no shift then. Choose one of the days that are drawn.`,
  nothingThatDay: (crew: string) =>
    `Nothing is planned for ${crew} on that day. Choose another one in the week.`,
  inNoCrew: (person: string) =>
    `${person} goes out with nobody yet. Put a crew together in the Loft, The house.`,
  nothingForYou: (crew: string) =>
    `Nothing is planned for ${crew} in the next weeks. Rounds has what rings and why it is in no shift.`,
  notPlannedNow: (task: string) => `${task} is in no shift that is still to come. Load the day again.`,
  whoIsIll: "Who is ill? Choose one of the crew.",
  fromWhichDay: "From which day on? Choose one.",
  onWhichDay: "On which day does it come? Choose one.",
  whatIsLate: "What comes late? Choose a kit or part of the plan.",
  calledWhere: "Where to? Choose a place that has a spot on the map; a place gets one where it is edited.",
  nobodyOut:
    "No crew is out and free now. Shut off what the line says, and call whoever is on call or at a job that can be left.",
  howLong: "By how many minutes does it run over? Say 5 to 600.",
  untilWhen: "From when on can one get in? Say a time that is still to come.",
  noWayIn: (by: string, why: string | undefined) =>
    why === undefined ? `No way in, says ${by}.` : `No way in, says ${by}: ${why}`,
  becauseOver: (task: string) => `${task} runs over.`,
  becauseNoWayIn: (task: string) => `There was no way in to ${task}.`,
  /** How long work takes. */
  takesCrew: (crew: string, half: string, most: string) =>
    `${crew}: ${half} half the time, within ${most} four times of five.`,
  learntFrom: (compiled: string, family: number, crews: readonly { crew: string; jobs: number }[]) => {
    const count = (jobs: number) => (jobs === 1 ? "1 job" : `${jobs} jobs`);
    const from = [
      ...(family > 0 ? [`${count(family)} of its kind`] : []),
      ...crews.flatMap(({ crew, jobs }) => (jobs > 0 ? [`${count(jobs)} of ${crew}`] : [])),
    ];
    return from.length === 0
      ? `Compiled: ${compiled}. None like it was signed before this week, so it may well take longer.`
      : `Compiled: ${compiled}; learnt from ${from.join(", ")}.`;
  },
  goOn: (step: string) => `Go on: ${step}`,
  stoppedBy: (by: string, reason: string) => `A job that ${by} stopped: ${reason}`,
  nothingToPublish: "Nothing is planned in this week. Plan it first.",
  nobodyAble: (needs: string, people: number) =>
    needs === ""
      ? `No crew has ${people} people. Put them together.`
      : `No crew has all that it needs: ${people === 1 ? "" : `${people} people, `}${needs}. Put them together, or get the competence.`,
  noShiftInWindows:
    "Nobody is on shift in the hours in which it may be done. Ask for other hours, or add a shift.",
  noRoomInYear:
    "Every week in which it may be done is full, or doing it costs more than leaving it is set at. Add hours, widen its windows, or raise what leaving it costs.",
};
