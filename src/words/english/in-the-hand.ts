/** A card read out, and what stands by it. */
export const aloud = {
  read: "Read aloud",
  readByKey: "Read aloud (R)",
  again: "Again",
  next: "Next",
  done: "Done",
  over: "That was all. Tap anywhere for it once more.",
  caution: (can: string, what: string) => `Take care. ${can} ${what}`,
  barred: (tool: string, why: string) => `Not with: ${tool}. ${why}`,
  stopped: (reason: string) => `Work is stopped. ${reason}`,
};

/** What is said of a press that is held. */
export const held = {
  hold: "hold it down",
  hint: "Hold it down until it is full: what is let loose here is not called back. By keys hold Enter; with a screen reader press twice.",
};
