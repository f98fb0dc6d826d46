"use client";

import { fromSI, sensibleDigits, unit } from "@/core/quantity";
import type { PictureProps } from "./calculator-pictures";

const WIDTH = 680;
const LEFT = 12;

/** Figures of the pictures in the reader's pressure unit. */
const pressure = (system: PictureProps["system"]) => {
  const shown = unit(system === "us" ? "psi" : "bar");
  return (si: number) => `${sensibleDigits(fromSI(si, shown))} ${shown.label}`;
};

/** What the gauge rose by, in two parts: what warming explains, and what is left. */
export function StandPicture({ answer, system }: PictureProps) {
  const warming = answer.outputs.warming!.si;
  const left = answer.outputs.corrected!.si;
  const say = pressure(system);
  const most = Math.max(Math.abs(warming), Math.abs(left), 1) * 1.1;
  const bars = [
    { name: "by warming alone", value: warming, fill: "url(#warm)" },
    { name: "left to explain", value: left, fill: answer.verdict === "fail" ? "var(--stop)" : "var(--go)" },
  ];
  const zero = bars.some((bar) => bar.value < 0) ? WIDTH / 2 : LEFT;
  const scale = (WIDTH - zero - 150) / most;
  return (
    <figure>
      <figcaption className="caption">What the gauge rose by</figcaption>
      <svg
        viewBox={`0 0 ${WIDTH} 132`}
        className="w-full"
        role="img"
        aria-label={bars.map((bar) => `${bar.name} ${say(bar.value)}`).join(", ")}
      >
        <defs>
          <pattern id="warm" width={8} height={8} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <rect width={8} height={8} fill="#E8B04B" />
            <rect width={3} height={8} fill="#B97A1A" />
          </pattern>
        </defs>
        {bars.map((bar, index) => {
          const length = Math.abs(bar.value) * scale;
          return (
            <g key={bar.name} transform={`translate(0 ${index * 64})`}>
              <text x={LEFT} y={18} fill="var(--soft)" fontSize={16}>
                {bar.name}
              </text>
              <rect
                x={bar.value < 0 ? zero - length : zero}
                y={26}
                width={Math.max(2, length)}
                height={26}
                fill={bar.fill}
                stroke="var(--ink)"
              />
              <text
                x={(bar.value < 0 ? zero : zero + length) + 10}
                y={46}
                className="plate"
                fontSize={20}
                fill="var(--ink)"
              >
                {say(bar.value)}
              </text>
            </g>
          );
        })}
        <path d={`M${zero} 22v34m0 30v34`} stroke="var(--ink)" strokeWidth={2} />
      </svg>
    </figure>
  );
}

/** Pressure against warming, up to where the rating is reached. */
export function LockedPicture({ answer, system }: PictureProps) {
  const rise = answer.outputs.rise!.si;
  const kelvin = answer.outputs.kelvin!.si;
  if (rise === 0) return null;
  const say = pressure(system);
  const degrees = unit(system === "us" ? "Δ°F" : "ΔK");
  const warmed = `${sensibleDigits(fromSI(kelvin, degrees))} ${degrees.label}`;
  return (
    <figure>
      <figcaption className="caption">Pressure as it warms</figcaption>
      <svg
        viewBox={`0 0 ${WIDTH} 220`}
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
