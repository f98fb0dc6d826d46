/** What had become otherwise on the server while a job was worked without signal. */
export const meanwhile = {
  "another-job": (by: string) =>
    `${by} has a job open on this valve, too. Both stand: speak to each other before either restores it.`,
  "newer-sheet": (from: number, to: number) =>
    `It was worked by revision ${from} of its sheet; revision ${to} stands since. The record names the one it was worked by.`,
  "newer-line": (from: number, to: number) =>
    `It was worked by revision ${from} of its line; revision ${to} stands since. Look whether what was shut is what has to be opened.`,
  see: "See that one",
};

/** What two devices entered of one job, and what counts. */
export const beside = {
  title: "Two devices worked on this.",
  why: "Both stand in the log. What is safer counts:",
  settled: {
    same: "done on both",
    worse: "worse: it counts",
    noted: "noted; what stood here counts",
    stops: "contradicts: the work is stopped",
  },
  twice: (count: number) => `${count} ${count === 1 ? "entry was" : "entries were"} made on both alike.`,
  seen: "Seen",
};
