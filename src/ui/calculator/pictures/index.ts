import type { ReactNode } from "react";
import { BoltUpPicture } from "./bolt-up";
import { DrainPicture } from "./drain-down";
import { GasketPicture } from "./gasket-cutter";
import { HydrantPicture } from "./hydrant-flow";
import { ImpairmentPicture } from "./impairment-clock";
import { LockedPicture } from "./locked-liquid";
import { ORingPicture } from "./o-ring";
import type { PictureProps } from "./props";
import { CostPicture } from "./renew-or-reuse";
import { SaturationPicture } from "./saturation";
import { SoftenerCyclePicture } from "./softener-cycle";
import { SpannerPicture } from "./spanner";
import { DecayPicture, StandPicture } from "./test-over-time";
import { ThreadPicture } from "./threads";

/** Calculations that people would rather look at. */
export const PICTURES: Readonly<Record<string, (props: PictureProps) => ReactNode>> = {
  "bolt-up": BoltUpPicture,
  "drain-down": DrainPicture,
  "gasket-cutter": GasketPicture,
  "hydrant-flow": HydrantPicture,
  "impairment-clock": ImpairmentPicture,
  "locked-liquid": LockedPicture,
  "o-ring": ORingPicture,
  "renew-or-reuse": CostPicture,
  saturation: SaturationPicture,
  "co2-charge": SaturationPicture,
  brine: SoftenerCyclePicture,
  "spanner-finder": SpannerPicture,
  "stand-test": StandPicture,
  "decay-test": DecayPicture,
  "thread-finder": ThreadPicture,
};
