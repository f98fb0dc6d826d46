import type { ActRule } from "../act-rule";

/** It keeps what others blow into the header from whoever works at its open end. */
export const blank: ActRule<"blank"> = {
  effect: ({ valve }) => {
    valve.vent = "blanked";
  },
};
