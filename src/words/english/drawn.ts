interface HowFar {
  readonly turns?: number;
  readonly degrees?: number;
}

const times = ({ turns, degrees }: HowFar) =>
  degrees !== undefined
    ? `, ${degrees}°`
    : turns === undefined
      ? ""
      : `, ${turns} ${turns === 1 ? "turn" : "turns"}`;

/** What is drawn on a card. */
export const drawn = {
  turn: {
    left: (far: HowFar) => `left, anticlockwise${times(far)}`,
    right: (far: HowFar) => `right, clockwise${times(far)}`,
  },
  stem: (to: string, turn: string) => `${to}: its stem ${turn}`,
  faceUp: (face: string) => `${face} up`,
  turnOver: (face: string) => `turn it over: ${face} up`,
  set: (letter: string) => `set ${letter}`,
  setAndHinge: (letter: string, hinge: string) =>
    letter === hinge ? `set ${letter}: the hinge, one stays in` : `set ${letter}; it hangs on set ${hinge}`,
  lever: (degrees: number) =>
    degrees === 0
      ? "along the pipe"
      : Math.abs(degrees) === 90
        ? "across the pipe"
        : `at ${degrees}° to the pipe`,
  arrow: { flow: "arrow with the flow", up: "up", down: "down", outlet: "to the outlet" },
  clock: (at: number) => `mark at ${at} o'clock`,
};
