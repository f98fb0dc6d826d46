const times = (turns: number | undefined) =>
  turns === undefined ? "" : `, ${turns} ${turns === 1 ? "turn" : "turns"}`;

/** What is drawn on a card. */
export const drawn = {
  turn: {
    left: (turns: number | undefined) => `left, anticlockwise${times(turns)}`,
    right: (turns: number | undefined) => `right, clockwise${times(turns)}`,
  },
  lever: (degrees: number) =>
    degrees === 0
      ? "along the pipe"
      : Math.abs(degrees) === 90
        ? "across the pipe"
        : `at ${degrees}° to the pipe`,
  arrow: { flow: "arrow with the flow", up: "up", down: "down", outlet: "to the outlet" },
  clock: (at: number) => `mark at ${at} o'clock`,
};
