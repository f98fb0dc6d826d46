/** Locks that are hung on what is shut, one or several in a row. */
export const lock = {
  where: (place: string) => `Where: ${place}`,
  missing: "Write the number of the lock you put on.",
  number: "Lock number",
  tag: "Tag number (no lock point)",
  hint: "On the lock's own face.",
  sweep: "The next, in this order",
  sweepWhy:
    "Those that you have shut and locked already: write each lock. What stays empty comes as a card of its own.",
  ofNext: (name: string) => `Lock of ${name}`,
  inOrder: "One before this is empty. They are shut in this order.",
};
