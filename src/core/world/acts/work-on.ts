import type { ActRule } from "../act-rule";

/** Greasing, soaking, cleaning: in the sheet's own words. With the medium in the pipe it has to be agreed to. */
export const workOn: ActRule<"work-on"> = {
  harms: ({ site, agreed }) =>
    site.sheet.isolation.workUnderPressure !== undefined && !agreed ? [{ kind: "not-agreed" }] : [],
  effect: () => {},
};
