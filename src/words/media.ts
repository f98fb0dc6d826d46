import type { Caution, Medium } from "@/core/formats";
import { SCALDS_C } from "@/core/isolation";
import { CO2_LIQUID_ABOVE_BAR, CO2_TRIPLE_BAR_ABS } from "@/core/line";
import { figure, type Speaker } from "./speaker";

/** What can happen where this medium comes out, and what to do. */
export const releaseCaution = (speaker: Speaker, medium: Medium, hot = false): Caution =>
  speaker.say.media.comesOut[hot && medium === "water" ? "hotWater" : medium]({
    cool: figure(speaker, SCALDS_C, "°C"),
    ice: iceBelow(speaker),
    above: liquidAbove(speaker),
  });

/** Below this liquid CO2 turns to ice. */
export const iceBelow = (speaker: Speaker): string => figure(speaker, CO2_TRIPLE_BAR_ABS, "bar abs");

/** What a section of CO2 is brought above before liquid meets it. */
export const liquidAbove = (speaker: Speaker): string => figure(speaker, CO2_LIQUID_ABOVE_BAR, "bar g");
