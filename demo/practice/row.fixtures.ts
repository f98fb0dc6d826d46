import type { Shown } from "./shown.fixtures";

/** What practitioners do, and where Loft Bell shows that it does it; or what of it is left to people, or still to come. */
export type Row = { readonly row: string; readonly what: string } & (
  | { readonly state: "works"; readonly shown: (on: Shown) => void }
  | { readonly state: "partly"; readonly shown: (on: Shown) => void; readonly missing: string }
  | { readonly state: "missing"; readonly missing: string }
  /** Left to people, and why. */
  | { readonly state: "caution"; readonly why: string }
);

export const works = (row: string, what: string, shown: (on: Shown) => void): Row => ({
  row,
  what,
  state: "works",
  shown,
});

export const partly = (row: string, what: string, missing: string, shown: (on: Shown) => void): Row => ({
  row,
  what,
  state: "partly",
  missing,
  shown,
});

export const missing = (row: string, what: string, why: string): Row => ({
  row,
  what,
  state: "missing",
  missing: why,
});

export const caution = (row: string, what: string, why: string): Row => ({
  row,
  what,
  state: "caution",
  why,
});
