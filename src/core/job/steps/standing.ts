import type { Flow } from "../../formats";
import type { Act } from "../../world";

/** What has to hold for a card, in the terms of this line and this valve. */
export interface Stand {
  /** What is in again, and the stops that let it in. */
  readonly in: readonly Stops[];
  readonly shut: readonly Stops[];
  readonly off: readonly string[];
  readonly fitted: readonly string[];
  readonly loose: readonly string[];
}

/** One flow with the stops of this plan that let it in: none where the line has none, or no line is drawn. */
export interface Stops {
  readonly flow: Flow;
  readonly links: readonly string[];
  /** Where it comes in by no stop: the place that has to hold it. */
  readonly node?: string;
}

/** One thing that a card of a sheet moves on the line while it is done. */
export interface Moved {
  readonly how: "shut" | "switch-off" | "open-point";
  /** A link, or a node for a point. */
  readonly at: string;
  readonly name: string;
}

/** What a card in a sheet's own words may carry: absent where the sheet asks for nothing. */
export interface Carried {
  readonly needs?: Stand;
  readonly moves?: readonly Moved[];
}

/** What has to hold, asked of the world before anything of the card is done. */
export const expects = ({ needs }: Carried): Act[] =>
  needs === undefined
    ? []
    : [
        {
          do: "expect",
          open: needs.in.flatMap((each) => each.links),
          shut: needs.shut.flatMap((each) => each.links),
          fed: needs.in.flatMap(({ node }) => (node === undefined ? [] : [node])),
          off: needs.off,
          fitted: needs.fitted,
          loose: needs.loose,
        },
      ];

/** What the card moves. What it opens runs where somebody stands and watches it. */
export const movesOf = ({ moves = [] }: Carried): Act[] => moves.map(movedAct);

/** How things that a card moved go back: the last first, but what leads outside is shut before anything feeds it. */
export const puttingBack = (moves: readonly Moved[]): Moved[] => {
  const last = moves.toReversed();
  return [
    ...last.filter(({ how }) => how === "open-point"),
    ...last.filter(({ how }) => how !== "open-point"),
  ];
};

/** Each back where it stood, in the order given. */
export const movedBack = (moves: readonly Moved[]): Act[] => moves.map(movedBackAct);

function movedAct({ how, at }: Moved): Act {
  switch (how) {
    case "shut":
      return { do: "shut", link: at };
    case "switch-off":
      return { do: "switch-off", link: at };
    case "open-point":
      return { do: "open-point", node: at, watched: true };
  }
}

function movedBackAct({ how, at }: Moved): Act {
  switch (how) {
    case "shut":
      return { do: "open", link: at, crack: true };
    case "switch-off":
      return { do: "switch-on", link: at };
    case "open-point":
      return { do: "shut-point", node: at };
  }
}
