/** Where readings go, and what of them does not fit. */
export const trends = {
  months: ["Jan", "Feb", "Mar", "Apr", "May", "Jun", "Jul", "Aug", "Sep", "Oct", "Nov", "Dec"],
  rings: (what: string) => `Its ${what} goes towards its limit`,
  meets: (what: string, likely: string | undefined) =>
    likely === undefined
      ? `Its ${what} goes towards its limit.`
      : `Its ${what} meets its limit about ${likely}.`,
  between: (early: string, late: string) => `Of ten such valves one has by ${early}, nine by ${late}.`,
  notBefore: (early: string) => `Of ten such valves one has by ${early}.`,
  withSisters: (count: number) => `By its own readings and those of ${count} of its kind.`,
  alone: "By its own readings alone.",
  newest: (expected: string) =>
    `The newest reading does not fit those before it: about ${expected} was to be expected. Read it again, and look at the instrument.`,
  unlike: (faster: boolean, count: number) =>
    faster
      ? `It goes faster than ${count} others of its kind: look for what is different here.`
      : `It goes slower than ${count} others of its kind: look whether it is read as they are.`,
};
