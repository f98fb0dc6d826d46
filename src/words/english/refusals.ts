/** Why an entry is not taken, and what to do instead. */
export const refusals = {
  countThem: (what: string, most: number) =>
    `${what}: count them. One at least, and never more than ${most}.`,
  timeIt: "Time it: have yourself counted in, turn, and press again once it stands where it belongs.",
  writeItDown: (ask: string) => `${ask} Write it down.`,
  writeTheLock: "Write the number of the lock you put on.",
  sayYesTwice: "Say yes to both questions, or stop work.",
  sayWhatCameOut: "Say what came out: dry, or dripped out and stopped.",
  waitRuns: "This wait runs already.",
  waitNotStarted: "Start the wait first.",
  waitTooShort: (minutes: number) => `This wait takes ${minutes} minutes at least.`,
  waitNotOver: (minutes: number) => `The wait is not over: ${minutes} min to go.`,
  simulatedProvesNothing:
    "A simulated instrument reads a model, not this valve: on a sheet for real equipment it proves nothing. Read it with an instrument, or type what you read.",
  readTooLongAgo: (minutes: number) =>
    `The instrument showed that ${minutes} min ago: it says nothing of now. Take its reading anew.`,
  readAfterItsEntry: "The reading is dated after its entry. Take it anew.",
  itShowedOtherwise: (read: string) =>
    `The instrument showed ${read}, and the figure is another. Take its reading anew, or type the figure as your own.`,
  nothingToTrace:
    "Nothing is watched over a time on this card: a trace is kept where something stands or is measured.",
  pointsOutOfOrder: "The points of this trace do not follow one another in time. Record it anew.",
  notAGaugePressure: "Proving zero takes a gauge pressure.",
  belowVacuum: (least: string) => `A gauge cannot show less than a full vacuum (${least}). Read it again.`,
  hasToBe: (right: string) => `It has to be: ${right}. Put it so, then say so.`,
  placeIsTaken: (place: string, by: string) =>
    `You noted ${place} for the ${by} already: one place holds one end. Look again, or undo the other note.`,
  belowTheGate: (least: string) =>
    `Liquid may come only above ${least}. Let more vapour in and read again: nothing is opened before.`,
  aboveAnyGauge: (most: string) => `No gauge used here reads above ${most}. Check the unit.`,
  noSuchTemperature: (least: string, most: string) =>
    `No pipe here is that cold or hot (${least} to ${most}). Check the unit of the temperature.`,
  anotherCheck: {
    answer: "This answer belongs to another check.",
    figure: "This figure belongs to another check.",
  },
  wantsAFigure: "This check wants a measured figure.",
  wantsAChoice: "This check wants a choice, not a figure.",
  noSuchLine: "There is no such line on this list.",
  wipeItFirst: "Wipe it, and say so: nothing that slips may be on it.",
  tickEveryLine: (left: string) =>
    `Not ticked yet: ${left}. Take each in your hand; what is not there is skipped with its reason.`,
  photographFirst: "Take the photograph first: words alone do not put it back.",
  writeAFigure: (unit: string) => `Write a figure${unit === "" ? "" : `, in ${unit}`}.`,
  noSuchFigure: (low: number | undefined, high: number | undefined, unit: string) =>
    low !== undefined && high !== undefined
      ? `It can be ${low} to ${high} ${unit}. Look again.`
      : low !== undefined
        ? `It can be no less than ${low} ${unit}. Look again.`
        : `It can be no more than ${high} ${unit}. Look again.`,
  standsOtherwise: (noted: string, tolerance: number, unit: string) =>
    `It was noted at ${noted}: set it back, to within ${tolerance} ${unit}.`,
  wantsEachPiece: "Say it of each piece of the stack by itself.",
  noSuchPiece: (of: number) => `The stack has ${of} pieces: count from the bottom up.`,
  answerOneOf: (answers: string) => `Answer one of: ${answers}.`,
  chooseOneOf: (choices: string) => `Choose one of: ${choices}.`,
  belowZero: "It cannot be below zero. Measure again.",
  notedOtherwise: (noted: string) =>
    `You noted: ${noted}. Put it back so, and confirm that. If the note was wrong, undo back to it or write a note.`,
  nextBolt: (bolt: number, pass: number) =>
    `Next is bolt ${bolt} of pass ${pass}: the order keeps the joint even.`,
  noBoltLeft: "Every bolt of this circle is pulled.",
  overItsLimit: (read: string, limit: string) =>
    `${read} is over this part's limit of ${limit}. Slacken it, look at thread and face, renew the bolt, and pull again.`,
  pulledShort: (read: string, wanted: string) =>
    `${read} is short of ${wanted}. Pull again, smoothly, to the click.`,
  pulledBeyond: (read: string, wanted: string) =>
    `${read} is beyond ${wanted}. Slacken this bolt and pull it again.`,
  pullEveryBolt: "Pull every bolt in every pass.",
  countOnFrom: (piece: number) => `Count on from piece ${piece}.`,
  countTheStack: (left: number, of: number) => `Count the stack first: ${left} of ${of} to go.`,
  moreThanThereAre: (of: number) => `There are ${of} of them. Count again.`,
  piecesMissing: (of: number, there: number) =>
    `${of} go in; ${there} ${there === 1 ? "is" : "are"} there. Find the rest in the valve or on the floor, or take new ones.`,
  compareBy: (features: string) => `Compare by: ${features}.`,
  nothingHere: "nothing here",
  stillOnTheTray: (names: string) => `Still on the tray: ${names}.`,
  shortOfPieces: (items: string) => `Pieces are missing of: ${items}.`,
  countedOf: (name: string, counted: number, of: number) => `${name} (${counted} of ${of})`,
  sayHowManyAreLeft: "Write how many pieces are left on the bench, as a number.",
  otherLeftovers: (expected: number, said: number) =>
    `${expected} should be left over and ${said} are. Find out which, then write it: "${said}: what it is".`,
  notAtThisStep: {
    "step-done": "This step is not done by ticking it.",
    "reading-taken": "This step takes no gauge reading.",
    "check-answered": "This answer belongs to another check.",
    "check-measured": "This figure belongs to another check.",
    "bolt-pulled": "No bolts are pulled in this step.",
    "wait-started": "There is nothing to wait for in this step.",
    "piece-set": "No stack is counted in this step.",
    "line-ticked": "Nothing is ticked in this step.",
    "piece-judged": "No pieces are looked at in this step.",
    "part-compared": "No new part is compared in this step.",
    "still-pressure": "No joint is cracked in this step.",
    "photo-taken": "This step takes no photograph. Take it where something is noted or looked at.",
    other: "This entry does not belong to this step.",
  },
  neverSkipped: "This step cannot be skipped: somebody's safety hangs on it.",
  serverClockWrong:
    "The server's clock is wrong: it shows an earlier time than its own newest entry. Set it right there; this device may be right.",
  clockAhead: "The clock of this device runs ahead of the server's. Set it right: waits are counted by it.",
  beforeTheJob:
    "This is dated before the job was opened. Set the clock of this device right, then make the entry again.",
  beforeTheNewest:
    "This is dated before the newest entry. If somebody else went on meanwhile, do it again; if not, set the clock of this device right: waits are counted by it.",
  settledOtherwise: "What another device entered is settled by the rules of the job alone. Leave that out.",
  noSuchBell: "No such bell rings in this job now: what it rang for is done. Look at where the job stands.",
  idIsTaken: "Another event has this id already. Give each event its own.",
  signedOffAlready: "This job is signed off. Start a new one for this valve.",
  closedAsNotBegun: "This job was closed as not begun. Undo that, or start a new one.",
  workIsStopped: "Work is stopped here. Take it up again first.",
  workIsNotStopped: "Work is not stopped.",
  nothingToUndo: "There is nothing to undo.",
  undoTheNewestFirst: "Undo takes back the newest entry first, one at a time.",
  notShutHere: (link: string) => `${link} is not shut in this job, so it cannot be the one that passes.`,
  knownToPass: (link: string) => `${link} is already known to pass.`,
  beingRestored: "The line is being restored already. Undo that first.",
  noSuchPart: (part: string) => `This sheet has no part "${part}".`,
  goesInOnce: (part: string, why: string) => `${part} goes in once only: ${why}`,
  workHasBegun: "Work on the valve or the line has begun. Stop work and say why, or bring it to its end.",
  benchBookNotAtHand: "The bench book is not at hand to work this out again. Open it, then keep it.",
  givesOtherwise: (said: string) => `These inputs give ${said}. Work it out again and keep that.`,
  noSuchStep: (step: string) =>
    `This plan has no step "${step}". It may have changed: look at the card again.`,
  doneAlready: (title: string) => `Already done: ${title}`,
  first: (title: string) => `First: ${title}`,
  nothingLeftToDo: "nothing is left to do",
  notYet: (title: string) => `Not yet: ${title}`,
  nothingLeftToSign: "nothing is left to sign",
  people: {
    nobodySignsOn: "This job was begun before anybody signed on: nobody has to.",
    crewNotAtHand: "The crew does not know this name, or is not at hand. Load the page again with a signal.",
    underOwnEye: "Nobody watches over oneself. Choose somebody who may.",
    notSignedOn: (who: string) => `${who} has to sign on to this job first: who watches is there.`,
    signOnFirst: (who: string, asked: string) =>
      `This is work on ${asked}. ${who} signs on first: as one who may, or under the eye of one who may.`,
    notCompetent: (who: string, missing: string) =>
      `${who} may not do this: nothing that holds today says so for ${missing}. Somebody who may does it, or watches over it.`,
    anotherProves: (who: string) =>
      `${who} shut it off: here another person proves that it is dead. Hand the device over.`,
    anotherSigns: (who: string) =>
      `${who} signed as the second person already. The one who answers for the job signs now.`,
  },
  gates: {
    zeroNotProven: (title: string) => `Nothing is opened before zero is proven. Still to do: ${title}`,
    notWhole: (title: string) => `The valve is not whole yet. Still to do: ${title}`,
    notTested: (title: string) => `Not proven yet. Still to do: ${title}`,
    tray: (names: string, several: boolean) =>
      `The tray does not balance: ${names} ${several ? "are" : "is"} still on it.`,
    stillShut: (links: string) => `Still shut: ${links}. Open them and take the locks off.`,
  },
  log: {
    datedAfterToday: "It is dated after today.",
    sealedOutOfTime: "It was sealed out of its time.",
  },
};
