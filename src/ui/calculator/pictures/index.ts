"use client";

import dynamic from "next/dynamic";
import type { ComponentType } from "react";
import type { PictureProps } from "./props";

/** Calculations that people would rather look at; each drawing is fetched with the first page that shows it. */
export const PICTURES: Readonly<Record<string, ComponentType<PictureProps>>> = {
  "bolt-up": dynamic(() => import("./bolt-up").then((made) => made.BoltUpPicture), { ssr: false }),
  "drain-down": dynamic(() => import("./drain-down").then((made) => made.DrainPicture), { ssr: false }),
  "gasket-cutter": dynamic(() => import("./gasket-cutter").then((made) => made.GasketPicture), {
    ssr: false,
  }),
  "hydrant-flow": dynamic(() => import("./hydrant-flow").then((made) => made.HydrantPicture), { ssr: false }),
  "impairment-clock": dynamic(() => import("./impairment-clock").then((made) => made.ImpairmentPicture), {
    ssr: false,
  }),
  "locked-liquid": dynamic(() => import("./locked-liquid").then((made) => made.LockedPicture), {
    ssr: false,
  }),
  "o-ring": dynamic(() => import("./o-ring").then((made) => made.ORingPicture), { ssr: false }),
  "renew-or-reuse": dynamic(() => import("./renew-or-reuse").then((made) => made.CostPicture), {
    ssr: false,
  }),
  saturation: dynamic(() => import("./saturation").then((made) => made.SaturationPicture), { ssr: false }),
  "co2-charge": dynamic(() => import("./saturation").then((made) => made.SaturationPicture), { ssr: false }),
  brine: dynamic(() => import("./softener-cycle").then((made) => made.SoftenerCyclePicture), { ssr: false }),
  "spanner-finder": dynamic(() => import("./spanner").then((made) => made.SpannerPicture), { ssr: false }),
  "stand-test": dynamic(() => import("./test-over-time").then((made) => made.StandPicture), { ssr: false }),
  "decay-test": dynamic(() => import("./test-over-time").then((made) => made.DecayPicture), { ssr: false }),
  "tightening-order": dynamic(
    () => import("./tightening-order").then((made) => made.TighteningOrderPicture),
    { ssr: false },
  ),
  "two-threads": dynamic(() => import("./threads").then((made) => made.TwoThreadsPicture), { ssr: false }),
  "vessel-content": dynamic(() => import("./vessel").then((made) => made.VesselPicture), { ssr: false }),
  "thread-finder": dynamic(() => import("./threads").then((made) => made.ThreadPicture), { ssr: false }),
};
