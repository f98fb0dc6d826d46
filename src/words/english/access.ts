const minutes = (count: number) => (count === 1 ? "one minute" : `${count} minutes`);

/** Coming in, and who may. */
export const access = {
  roles: {
    reader: { name: "reader", may: "Sees everything, changes nothing." },
    technician: {
      name: "technician",
      may: "Does jobs and signs them, reports faults, takes photographs, books in and out of the store.",
    },
    planner: {
      name: "planner",
      may: "Besides: changes the register, lines, sheets, places, the store; brings in files; takes back what others changed.",
    },
    keeper: {
      name: "keeper",
      may: "Besides: the crew and what each may do, who comes in, rules of the house, backups.",
    },
  },
  by: { password: "a password", pin: "a PIN", passkey: "a passkey", code: "a code" },
  wrong:
    "This name and password do not belong together. Try again, or ask a keeper for a code to choose a new password.",
  locked: {
    name: (left: number) =>
      `Too often wrong for this name. Wait ${minutes(left)}, or ask a keeper for a code: that works at once.`,
    address: (left: number) =>
      `Too many wrong tries from this network. Wait ${minutes(left)}; whoever is signed in stays so.`,
  },
  wrongPin: (left: number) => `Not this PIN. ${left === 1 ? "One try is" : `${left} tries are`} left.`,
  pinLost: "There is no PIN for you on this device any more. Sign in with your password, then set a new one.",
  wrongCode:
    "Not this code for this name. It has ten letters and figures, and is good once; a keeper can make a new one.",
  codeRanOut: "This code is over three days old. Ask a keeper for a new one.",
  keeperIsThere: "There is a keeper already. Ask one of them to let you in.",
  noName: "Write your name as it shall stand on records.",
  passkeyUnknown: "This passkey is not known here any more. Sign in with your password, and make a new one.",
  passkeyRefused: "The passkey was not taken. Try again, or sign in with your password.",
  tooShort: (least: number) => `At least ${least} signs: three words are easy to keep.`,
  tooLong: (most: number) => `At most ${most} signs.`,
  isTheName: "Your name is the first that is guessed. Take something else.",
  tooEven: {
    password: "The same few signs over and over are soon guessed. Take three words.",
    pin: "This PIN is the first that is guessed. Take another.",
  },
  figuresOnly: (least: number, most: number) => `A PIN has ${least} to ${most} figures.`,
  log: {
    signedIn: (how: string, browser: string) => `came in by ${how}, on ${browser}`,
    signedOut: (browser: string) => `signed out, on ${browser}`,
    refused: (how: string) => `was not let in by ${how}`,
    locked: (left: number) => `was locked out for ${minutes(left)}: too often wrong`,
    given: (person: string, role: string) => `let ${person} in as ${role}`,
    roleChanged: (person: string, from: string, to: string) => `made ${person} ${to}, before ${from}`,
    takenAway: (person: string) => `lets ${person} in no more`,
    codeMade: (person: string) => `made a code for ${person}`,
    passwordSet: "chose a password",
    pinSet: "set a PIN on a device",
    pinLost: "lost a PIN by five wrong ones",
    passkeyAdded: (name: string) => `made the passkey ${name}`,
    passkeyRemoved: (name: string) => `took the passkey ${name} away`,
    sessionEnded: (person: string, browser: string) => `signed ${person} out, on ${browser}`,
    switchedOn: "switched sign-in on",
    switchedOff: "switched sign-in off",
  },
};
