/** Lines put together and taken apart. */
export const making = {
  noLink: (link: string) => `This line has no link "${link}". Choose one from its drawing.`,
  goesRound: (link: string, by: string) =>
    `What lies beyond ${link} hangs on ${by} by another way, too. Choose a link that everything beyond hangs on.`,
  noPlace: (line: string, place: string) => `${line} has no place "${place}". Choose one from its drawing.`,
  otherMedium: (here: string, there: string) =>
    `Here runs ${here} and there ${there}: they cannot become one place. Choose two places of one medium.`,
  sameLine: "That is this very line. Choose another one.",
};
