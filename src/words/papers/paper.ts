/** A moment within a sentence, ms: the screen tells it in the reader's zone, the print in the zone it was asked for. */
export interface Moment {
  readonly at: number;
  /** With the time of the day. */
  readonly time?: boolean;
  /** The time of the day alone. */
  readonly hour?: boolean;
}

/** What is said, piece by piece. */
export type Said = readonly (string | Moment)[];

/** One line of a list on a paper. */
export interface PaperRow {
  readonly says: Said;
  /** Below it, smaller. */
  readonly small?: Said;
  /** Beside it, large: what was read. */
  readonly figure?: string;
  /** It weighs more than its neighbours. */
  readonly strong?: true;
  /** Its small line tells of something wrong. */
  readonly wrong?: true;
}

/** What a drawing is of. */
export type Drawn =
  | "axis"
  | "section"
  /** One of several sections of a paper, from 0. */
  | { readonly section: number }
  | { readonly trace: string };

/** A piece of a paper. The screen draws it, and so does the print: neither has words of its own. */
export type PaperBlock =
  | {
      readonly kind: "rows";
      readonly title: string;
      readonly rows: readonly PaperRow[];
      readonly none: string;
    }
  | {
      readonly kind: "pictures";
      readonly title: string;
      readonly pictures: readonly { readonly photo: string; readonly says: string }[];
    }
  | {
      readonly kind: "table";
      readonly title: string;
      /** Columns by name, and how much of the width each takes; without rows of its own, lines to be filled in by hand. */
      readonly columns: readonly { readonly title: string; readonly share: number }[];
      readonly rows: readonly (readonly PaperRow[])[];
    }
  /**
   * The valve apart along its axis; the section of the line that was shut; what an instrument showed, by the entry that
   * kept it. Drawn by who prints, from the job itself.
   */
  | { readonly kind: "drawing"; readonly title: string; readonly of: Drawn }
  /** What follows begins a page of its own. */
  | { readonly kind: "page" }
  | {
      readonly kind: "text";
      readonly tone: "plain" | "go" | "wait" | "stop";
      /** Said first, and heavier. */
      readonly lead?: string;
      readonly says: Said;
    };

/** A paper as it is handed over: what stands at its head, its pieces, and what is true of all of it. */
export interface Paper {
  /** Plate at its head: the tag of the valve, the name of the line. */
  readonly plate: string;
  readonly title: string;
  readonly says: string;
  /** Made up: must never be taken for a record of real equipment. */
  readonly demonstration: boolean;
  readonly blocks: readonly PaperBlock[];
  /** At the end, small: how it can be checked. */
  readonly foot: readonly string[];
  /** The address that its code opens. */
  readonly opens?: string;
}

/** A list of plain sentences. */
export const listOf = (title: string, rows: readonly string[], none = ""): PaperBlock => ({
  kind: "rows",
  title,
  none,
  rows: rows.map((row) => ({ says: [row] })),
});
