import type { Act, ActOf } from "./act";
import type { Harm } from "./harm";
import type { World } from "./world";

/** One kind of act: what has to hold for it, and what it does. */
export interface ActRule<K extends Act["do"]> {
  /** What goes wrong when it is done as things stand. */
  readonly harms?: (world: World, act: ActOf<K>) => readonly Harm[];
  readonly effect: (world: World, act: ActOf<K>) => void;
}

/** What is known afterwards and changes nothing that this model holds. */
export const changesNothing = { effect: () => {} };
