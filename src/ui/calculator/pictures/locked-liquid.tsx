"use client";

import { siOf } from "@/core/calculators";
import { fromSI, unit } from "@/core/quantity";
import { type Figures, useFigures } from "@/ui/use-figures";
import type { PictureProps } from "./props";

/** Figures of the pictures in the reader's pressure unit. */
const pressure = (system: PictureProps["system"], digits: Figures["digits"]) => {
  const shown = unit(system === "us" ? "psi" : "bar");
  return (si: number) => `${digits(fromSI(si, shown))} ${shown.label}`;
};

/** Pressure against warming, up to where the rating is reached. */
export function LockedPicture({ answer, system }: PictureProps) {
  const { digits } = useFigures();
  const rise = siOf(answer.outputs, "rise");
  const kelvin = siOf(answer.outputs, "kelvin");
  if (rise === 0) return null;
  const say = pressure(system, digits);
  const degrees = unit(system === "us" ? "Δ°F" : "ΔK");
  const warmed = `${digits(fromSI(kelvin, degrees))} ${degrees.label}`;
  return (
    <figure>
      <figcaption className="caption">Pressure as it warms</figcaption>
      <svg
        viewBox="0 0 680 220"
        className="w-full"
        role="img"
        aria-label={`It rises by ${say(rise)} for each kelvin and reaches the rating after ${warmed}`}
      >
        <path d="M60 10V180H660" fill="none" stroke="var(--soft)" strokeWidth={2} />
        <path d="M60 180L480 40V180z" fill="var(--stop-bg)" />
        <path d="M60 180L640 -13" stroke="var(--stop)" strokeWidth={4} clipPath="inset(0)" />
        <path d="M60 40H660" stroke="var(--stop)" strokeWidth={2} strokeDasharray="9 6" />
        <path d="M480 40V180" stroke="var(--ink)" strokeWidth={1.5} strokeDasharray="3 5" />
        <circle cx={480} cy={40} r={7} fill="var(--card)" stroke="var(--stop)" strokeWidth={3} />
        <text x={70} y={32} className="plate" fontSize={18} fill="var(--stop)">
          rating: {say(rise * kelvin)} more
        </text>
        <text x={480} y={204} textAnchor="middle" className="plate" fontSize={18} fill="var(--ink)">
          {warmed} warmer
        </text>
      </svg>
    </figure>
  );
}
