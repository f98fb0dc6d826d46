/** Own data of which there is little. */
export const SMALL_KINDS = [
  "place",
  "instrument",
  "house",
  "paper",
  "mapping",
  "ground",
  "order",
  "trouble",
  "case",
  "rounds",
] as const;
export type SmallKind = (typeof SMALL_KINDS)[number];

/** What can be changed, or brought in. */
export type ThingKind = "sheet" | "line" | "store" | "valve" | "person" | "reading" | "job" | SmallKind;

/** What somebody did, as a fact: words are made of it where it is shown. */
export type EditFact =
  | { readonly kind: "import"; readonly files: readonly string[] }
  | {
      readonly kind: "added" | "changed" | "removed";
      readonly thing: ThingKind;
      readonly ids: readonly string[];
    }
  /** A backup was put back: what is here is as it was then. */
  | { readonly kind: "restored"; readonly backup: string; readonly made: string }
  | { readonly kind: "renamed"; readonly thing: ThingKind; readonly from: string; readonly to: string }
  | { readonly kind: "retired" | "brought-back" | "reported"; readonly ids: readonly string[] };
