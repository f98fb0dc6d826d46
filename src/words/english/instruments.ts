const ago = (seconds: number) =>
  seconds < 90 ? `${Math.max(1, Math.round(seconds))} s` : `${Math.round(seconds / 60)} min`;

/** What instruments say at the field, on their panel, in the record. */
export const instruments = {
  title: "Instruments",
  says: "What is connected to this device, and whether it is to be trusted. Typing is always possible.",
  here: "Connected to this device",
  open: "Instruments",
  connected: (count: number) => `Instruments (${count} connected)`,
  none: "Nothing is connected. A reading can be typed at every field.",
  by: { simulated: "simulated", socket: "by its gateway", serial: "by cable" },
  field: {
    take: "Take it",
    takeFrom: (name: string, figure: string) => `Take ${figure} from ${name}`,
    from: (name: string) => `from ${name},`,
    label: (field: string) => `Instruments for: ${field}`,
  },
  /** Why nothing can be taken. Each says what to do. */
  why: {
    notIntroduced: "It has not said who it is. Switch it on, or look at its gateway.",
    gone: (since: number, why: string | undefined) =>
      `Gone for ${ago(since)}${why === undefined ? "" : `: ${why}`}. Look at its plug and its battery, or type what you read.`,
    garbage: (what: string) =>
      `It says what nobody understands (${what}). Look at its plug, or type what you read.`,
    frozen: (since: number) =>
      `It says the same line over and over for ${ago(since)}: it hangs, and shows what was. Switch it off and on.`,
    stale: (since: number) =>
      `Silent for ${ago(since)}: what it showed is old. Look at it, or type what you read.`,
    nothingYet: "No figure for this yet. For a wrench: pull.",
    outOfRange: (low: string, high: string) =>
      `Beyond what it can show (${low} to ${high}). Take one with a wider range, or look how it is connected.`,
    outOfUse: (since: string) => `The register says it is out of use since ${since}. Take another.`,
  },
  fault: {
    tooLong: (letters: number) => `a line of ${letters} characters`,
    noJson: "no JSON",
    noSuchWord: (word: string) => `"${word}"`,
    wrongField: (path: string) => `field ${path}`,
    newerProtocol: (version: number) => `line protocol ${version}: this program is older`,
    noSuchMeasure: (what: string) => `a measure called "${what}"`,
    noSuchUnit: (unit: string, what: string) => `"${unit}" for ${what}`,
  },
  doubt: {
    calibrationOver: (until: string) =>
      `Its calibration ran out on ${until}: it stands so in the record. A proof wants one that holds.`,
    neverCalibrated: "It was never calibrated: it stands so in the record.",
    notRegistered: "Its serial is not in the register: it stands in the record without a calibration.",
    batteryLow: (percent: number) => `Battery ${percent} %.`,
    simulated: "A simulated instrument: it reads a model of this valve, for practice.",
    differs: (from: string, shows: string) =>
      `${from} shows ${shows}. Hold both in the open air: the one that is not at zero is wrong.`,
  },
  state: {
    good: "reads",
    battery: (percent: number) => `${percent} %`,
    calibratedUntil: "calibrated until",
    needsNone: "needs no calibration",
  },
  panel: {
    simulated: "Simulated instruments",
    simulatedSays:
      "They read a model of the valve of the open job, with what it hides, as the cards have left it. They prove nothing on a real valve.",
    asking: "Asking the register …",
    connectSimulated: (name: string) => `Connect ${name}`,
    hides: "What the valve hides",
    hide: {
      "by-the-valve": "What this valve hides: nobody says",
      nothing: "Nothing: all is as believed",
      "a-closure-passes": "A closure passes a little",
      "liquid-boils": "Liquid was left, and boils",
    },
    gateway: "By a gateway",
    gatewaySays:
      "An instrument, or a box that speaks for it, on a WebSocket: the line protocol is in the docs.",
    address: "Address of the gateway",
    addressHint: "ws://localhost:4190",
    addressWrong: "Write it as ws://name:port.",
    connect: "Connect",
    cannotReach: (address: string) =>
      `${address} does not answer. Look whether it runs; another machine than this one has to be named by LOFTBELL_GATEWAYS where the server is started.`,
    cable: "By cable",
    cableSays: "On the serial port of this device.",
    choosePort: "Choose the port",
    noSerial:
      "This browser has no serial port for pages. Use a gateway, or Chromium on a computer or an Android phone.",
    speed: "Speed",
    disconnect: (name: string) => `Let go of ${name}`,
    letGo: "Let go",
    breakIt: "Break it on purpose",
    unplug: "Unplug",
    plugIn: "Plug in again",
    freeze: "Freeze",
    drift: "Drift",
    garble: "Garble",
    again: "Try again",
    empty: "It has not said who it is yet",
  },
  trace: {
    title: "What it shows over the time",
    waiting: "It is drawn from the second reading on.",
    starts: (name: string) => `${name} is recorded from the moment the wait starts.`,
    keep: "Keep this trace",
    kept: "Kept with the job",
    keptWithDone: "It is kept with the job when the wait is done.",
    gap: (count: number, time: string) =>
      `${count === 1 ? "A gap" : `${count} gaps`}, ${time} in all: what was in it nobody knows.`,
    says: { standing: "Standing test so far", overTime: "So far", pull: "This pull" },
    overTime: (first: string, last: string, perHour: string) => `${first} to ${last}, ${perHour} in an hour`,
    pull: {
      within: (peak: string) => `${peak}: within its band`,
      short: (peak: string) => `${peak}: short, pull again`,
      beyond: (peak: string) => `${peak}: beyond, slacken and pull again`,
      "over-its-limit": (peak: string) => `${peak}: OVER what the part stands`,
    },
    alt: (name: string, first: string, last: string, time: string) =>
      `${name} over ${time}: from ${first} to ${last}`,
    entry: (time: string, low: string, high: string) => `${time}, ${low} to ${high}`,
    recordTitle: "What was recorded",
    pulls: (count: number, within: number) => `${count} pulls, ${within} within their band, `,
  },
  record: {
    with: (name: string, serial: string) => `with ${name} ${serial}`,
    calibrated: (until: string) => `calibrated until ${until}`,
    over: (until: string) => `CALIBRATION RAN OUT on ${until}`,
    unknown: "not in the register",
    simulated: "SIMULATED, practice only",
  },
};
