/** What is said when something rings, and before. */
export const ringing = {
  /** What to look at now, by what rings. */
  look: {
    andThen: (now: string, then: string) => `${now} ${then}`,
    wait: {
      "the-section": "Look at the gauge before you touch anything: has it moved?",
      "a-soak": "Look at the part: is what was stuck off it?",
      "a-cure": "Press beside it, not on it: is it hard through?",
      "a-charge": "Do not take it for dead: prove it dead first.",
      "a-look": "Go and look at it now.",
    },
    impairment: "Nobody is protected there. Stand watch, or bring it back; tell the site.",
    stopped: "Go and see what stands shut, open and off. Nothing is used until that is looked at.",
    "at-work": "Somebody works there.",
    due: (what: string) => `${what}: plan it, or go there.`,
    case: "Somebody was promised an answer. Ask what came of it, and say so.",
  },
  title: (what: string, valve: string) => `${valve}: ${what}`,
  pageTitle: (what: string, valve: string) => `Rings: ${what}, ${valve}`,
  region: "What rings now",
  since: (duration: string) => `rings for ${duration}`,
  justNow: "rings now",
  goThere: "Go there",
  putOff: "Put it off",
  heard: "Heard",
  allOf: (count: number) => `All ${count} that ring`,
  fewer: "Only the first",
  putOffFor: "For how long?",
  putOffWhy: "Why?",
  putOffWhyMissing: "Say why: whoever hears it next has to know.",
  minutes: (minutes: number) => (minutes < 60 ? `${minutes} min` : `${minutes / 60} h`),
  reasons: {
    wait: ["I am on my way", "The work before it is not done", "Somebody else looks after it"],
    impairment: [
      "A watch stands there",
      "The site knows, and has taken over",
      "It comes back within the hour",
    ],
  },
  otherReason: "Another reason",
  putOffDo: (minutes: string) => `Put it off for ${minutes}`,
  back: "Let it ring",
  whoFirst: "Choose who holds this device: it is written down who put a bell off.",
  notKept: "This device could not keep that. The bell goes on ringing.",
  touch: "Touch the screen once: until then this browser makes no sound.",
  /** Before a wait begins: how it will be heard. */
  will: {
    rings: "It rings on every open screen",
    tone: "with a tone",
    noTone: "WITHOUT a tone: this browser makes none",
    shakes: "and the device shakes",
    notified: "and a notification comes when this page is behind others",
    locked:
      "With the phone locked this browser does not ring. The screen is kept awake while this job runs: do not lock it, or set the alarm of the phone as well.",
    lockedNoAwake:
      "With the phone locked this browser does not ring, and it cannot keep the screen awake. Set the alarm of the phone as well.",
    allow: "Allow notifications",
    denied:
      "Notifications are blocked in the settings of this browser: behind other pages only the tone is heard.",
    tryIt: "Try the bell",
  },
};
