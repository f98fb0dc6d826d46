import type { ActRule } from "../act-rule";

export const confirm: ActRule<"confirm"> = {
  harms: (world, { mark }) => (world.noted.has(mark) ? [] : [{ kind: "asked-too-late", mark }]),
  effect: () => {},
};
