import type { ActRule } from "../act-rule";

export const letLiquidOut: ActRule<"let-liquid-out"> = {
  effect: (world, { node }) => void world.liquidOut.add(node),
};
