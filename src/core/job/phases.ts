/** The order every job goes in. */
export const PHASES = [
  "triage",
  "prepare",
  "isolate",
  "prove",
  "mark",
  "strip",
  "inspect",
  "rebuild",
  "restore",
  "test",
  "sign-off",
] as const;
export type Phase = (typeof PHASES)[number];
