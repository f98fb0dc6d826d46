/** What to shut and why, how it is proven, how it comes back, and why it cannot be had. */
export const isolation = {
  coldAlone: (name: string) => `${name} (cold water only)`,
  unfit: {
    "no-valve": "has no valve",
    "check-valve": "is a check valve, which is no barrier",
    "control-valve": "is a control valve, which is no barrier",
    seized: "is seized",
    passes: "is known to pass",
    avoided: "is to be avoided",
  },
  acts: {
    "open-bypass": (name: string) => `Open meanwhile the bypass ${name}`,
    "stop-pump": (name: string) => `Stop and lock ${name}`,
    "switch-off": (name: string) => `Switch off and lock ${name}`,
    shut: (name: string) => `Shut and lock ${name}`,
    turn: (name: string) => `Turn ${name}`,
    "hold-stem": (name: string) => `Check that it stands so, and lock ${name}`,
    "pump-out": (name: string) => `Pump out ${name}`,
    "open-bleed": (name: string) => `Open and leave open ${name}`,
    "shut-bleed": (name: string) => `Shut ${name}`,
    "shut-drain": (name: string) => `Shut ${name}`,
    "shut-vent": (name: string) => `Shut ${name}`,
    "turn-back": (name: string) => `Turn back ${name}`,
    "leave-stem": (name: string) => `Take the lock off and leave as it stands ${name}`,
    open: (name: string) => `Open ${name}`,
    "leave-shut": (name: string) => `Take the lock off and leave shut ${name}`,
    "switch-on": (name: string) => `Switch on ${name}`,
    "start-pump": (name: string) => `Start ${name}`,
    "shut-bypass": (name: string) => `Shut again the bypass ${name}`,
  },
  closure: {
    cutsOff: (feeder: string) => `Cuts the work off from ${feeder}`,
    takesElectricity: (feeder: string) => `Takes the electricity of ${feeder} away`,
    comesBack: "Keeps pressure from coming back along this pipe",
    second: (reason: string) => `Second barrier: ${reason.charAt(0).toLowerCase()}${reason.slice(1)}`,
    skipped: (link: string, unfit: string) => `${link}, which ${unfit}`,
    insteadOf: (links: string) => `; taken instead of ${links}`,
    hardToReach: (says: string) => `; ${says}`,
    noLockPoint: "; it has no lock point: chain it, tag it and tell the crew",
    whole: (parts: readonly string[]) => `${parts.join("")}.`,
  },
  turnsOff: "In this position it shuts off what is opened and leaves the other way open.",
  why: {
    keepsInService: (names: string) =>
      `${names} would go without: this way round keeps the service. What comes by it misses what it goes round.`,
    pumpsFirst: "Pumps first: a running pump makes pressure as fast as you drain it.",
    wouldRunAgainst:
      "What it moves has no way left: running on, it would heat what stands in it until its seal goes.",
    pumpsLast: "Last: against a full line it makes no surge.",
    fromTheFeedOn: "From the feed on: what lies behind loses pressure valve by valve.",
    stillDrawnDown: "While the way it is drawn down by is still open.",
    bleedsBetween: (valves: string) =>
      `Between ${valves}: what creeps past the first barrier comes out here and not at you. It stays open.`,
    leadsOutside: "Before anything opens: it leads outside.",
    beforeTheMedium: "Before the medium comes back, not after.",
    whenTheAirIsOut: "It let the air out as the line filled: shut it when water runs without air.",
    asItStood: "As it stood: both sides of it are whole again.",
    standsShut: "It stands shut on an ordinary day.",
    standsSo: "It stands so on an ordinary day.",
    heldByAnother: (valve: string) =>
      `The job on ${valve} holds it, too: whoever takes the last lock off opens it.`,
    shutBefore: "It was shut before the plan changed: it has to come back, too.",
    innerFirst:
      "The inner one first: nothing stands behind it, so it opens freely; the outer one then fills the line by a crack.",
    lowestFirst:
      "It lies lowest: the line fills from the foot and pushes the air ahead of it to the open vent. Crack it and wait.",
    levelByNow: "The line is full and the pressures are level: no surge when this one opens.",
  },
  /** Why a stream is shut or opened at its place in the order. */
  shutWhen: {
    electricity:
      "Electricity first: a running pump makes pressure as fast as you drain it, and a coil opens what you shut.",
    steam: "Steam before condensate: what is left still drains.",
    hot: "Hot before cold: the outlet must never run on hot alone.",
    liquid: "Liquid first: the plant then draws the section down.",
    "hot-gas": "After the liquid: no heat into a section that is being drawn down.",
    mixed: "Before the cold: nothing may come back from the mixed side.",
    cold: "Cold after hot.",
    condensate: "After the steam: it took the last of it away.",
    suction: "Suction last: until now it drew the section empty.",
    pilot: "The control line last: without it the valve would open.",
    air: "Air after water: without air the valve trips and floods the pipes.",
  },
  openWhen: {
    electricity: () => "Electricity last: everything else is whole, full and proven.",
    gas: () => "Slowly, with every appliance off: purge, test, then relight each one.",
    steam: () =>
      "Steam last, by a crack: warm through, drain until it runs clear, then little by little. Cold pipe and fast steam make hammer that breaks fittings.",
    hot: () => "Hot after cold: the outlet is cold already and cannot scald.",
    liquid: () => "Liquid last, by a crack: vapour has brought the section up to pressure.",
    cold: () => "Cold before hot: fill, look for drips, let the air out.",
    condensate: () => "Condensate first: the steam that follows needs somewhere to drain to.",
    co2: ({ above }: { above: string }) =>
      `By a crack, with vapour, until the section is above ${above}: liquid let into less turns to dry ice.`,
    suction: () => "Vapour side first: it brings the section up to pressure without liquid.",
    pilot: () => "The control line first: it holds the valve shut while the main fills.",
    air: () => "Air before water: it sets the valve that holds the water back.",
  },
  prove: {
    gauge: (name: string) => `Read ${name}: zero, and still zero after the wait.`,
    vent: (name: string) => `Fit a gauge at ${name}: zero, and still zero after the wait.`,
    drain: (name: string) => `Open ${name}: nothing more runs, and nothing after the wait.`,
    tester: "Tester on a known live point, on every terminal here, on the live point again.",
    crack:
      "Nowhere to read it. Use a fitting of the valve first; last the cover itself: slacken two bolts, leave two in, crack it away from you, wait until nothing comes.",
    nowhere: (medium: string) =>
      `Nowhere to prove zero, and ${medium} is never let out at a cover. Have a gauge or a vent fitted to this section first, or shut further back where there is one.`,
  },
  locked: {
    says: (volume: string, medium: string, rise: string) =>
      `${volume} of liquid ${medium} stands locked in: about ${rise} more for each K of warming.`,
    rating: (kelvin: number) => ` ${kelvin} K reach its rating.`,
    drainSoon: " Drain it as soon as the last valve is shut.",
    leaveAWay: " Leave it a way to give: do not shut both ends of it, or let liquid out first.",
    can: "Liquid locked between shut valves bursts its pipe when it warms.",
  },
  stored: {
    kinds: {
      spring: "spring",
      accumulator: "accumulator",
      capacitor: "capacitor",
      heat: "heat",
      weight: "weight",
      cold: "cold",
      head: "head",
    },
    thisSection: "this section",
    can: (place: string, kind: string) => `${place}: ${kind}.`,
    heat: (degrees: string, cool: string) =>
      `It comes at ${degrees}. Metal and what is left inside stay hot: let it cool below ${cool} before you open.`,
    cold: (degrees: string) =>
      `It runs at ${degrees}. Bare metal takes the skin off, and frost hides a leak.`,
    head: (height: string) =>
      `It reaches ${height} above what is opened: that much stands on the joint until it is drained.`,
  },
  failure: {
    badLine: (problem: string) => `This line cannot be used: ${problem}`,
    notValid: "it is not valid",
    unknownPlace: (name: string) =>
      `This line has no place or valve "${name}". Check the tag on the drawing.`,
    nothingToOpen: "Name at least one place that will be open.",
    path: (steps: readonly string[]) => steps.join(" → "),
    makeGood: (name: string, unfit: string) => `${name} (it ${unfit})`,
    whenMadeGood: (valves: string) => `It becomes possible when ${valves} can be shut and holds.`,
    whenPumpedOut: (vessel: string) => `It becomes possible when ${vessel} is pumped out first.`,
    secondValve:
      "Have a second valve put in, or shut down and drain its source, lock that, and prove zero there first.",
    atTheSource: "Shut down and drain its source, lock that, and prove zero there first.",
    onlyOneBarrier: (fix: string) =>
      `This line asks for two barriers with a bleed between, and only one can be had. ${fix}`,
    openPath: (path: string, fix: string) => `Nothing can be shut along ${path}. ${fix}`,
    noBleed: (outer: string, inner: string) =>
      `Two barriers can be had, but nothing bleeds what is between ${outer} and ${inner}. Have a bleed cock put in there; until then nothing is opened on this plan.`,
    unprotected: (vessels: string, several: boolean) =>
      `This would leave ${vessels} without a relief valve. Pump ${several ? "them" : "it"} out first, or put a second relief valve in service.`,
  },
  standing: {
    holds: "It holds.",
    onlyWarming: (rise: string) =>
      `It rose by ${rise}, and warming alone explains that: no closure is to blame. Vent it and let it stand again.`,
    residue: (rise: string) =>
      `It rose by ${rise} and is levelling off: liquid left behind boils away. Vent or pump it down again, and let it stand anew.`,
    letIn: (rise: string) =>
      `${rise} of the rise is not explained by warming: something is let in. Name the closure that passes, or look for liquid left behind.`,
  },
};
