"use client";

import { siOf } from "@/core/calculators";
import { boilingPressure, CO2_TRIPLE, type Refrigerant, saturationRange } from "@/core/physics";
import { fromSI, unit } from "@/core/quantity";
import { useFigures } from "@/ui/use-figures";
import { round } from "../../draw/round";
import type { PictureProps } from "./props";

const [W, H] = [700, 330];
const BOX = { left: 62, right: 690, top: 14, bottom: 286 };
const POINTS = 60;
/** Vapour over dry ice, ln p = a − b/T through the triple point and 1 atm at 194.686 K (NIST), K and Pa. */
const ICE_SLOPE = Math.log(CO2_TRIPLE.pascal / 101_325) / (1 / 194.686 - 1 / CO2_TRIPLE.kelvin);
const iceTemperature = (pascal: number) => 1 / (1 / 194.686 - Math.log(pascal / 101_325) / ICE_SLOPE);

/** The boiling line on a paper of logarithms, where the plant stands on it, and for CO2 where dry ice begins. */
export function SaturationPicture({ form, answer, system }: PictureProps) {
  const { digits, inUnit } = useFigures();
  const charge = answer.outputs.clear !== undefined;
  const refrigerant: Refrigerant = charge ? "co2" : (form.choice("refrigerant") as Refrigerant);
  const [degrees, pressure] = [
    unit(system === "us" ? "°F" : "°C"),
    unit(system === "us" ? "psi abs" : "bar abs"),
  ];
  const co2 = refrigerant === "co2";
  const { least_K, most_K, most_Pa } = saturationRange(refrigerant);
  const from = co2 ? 180 : least_K;
  const [low, high] = [co2 ? 5e4 : 3e4, most_Pa * 1.15];
  const x = (kelvin: number) =>
    round(BOX.left + ((kelvin - from) / (most_K - from)) * (BOX.right - BOX.left));
  const y = (pascal: number) =>
    round(BOX.bottom - (Math.log(pascal / low) / Math.log(high / low)) * (BOX.bottom - BOX.top));
  const line = Array.from({ length: POINTS + 1 }, (_, index) => {
    const kelvin = least_K + ((most_K - least_K) * index) / POINTS;
    return `${x(kelvin)} ${y(boilingPressure(refrigerant, Math.min(kelvin, most_K)) ?? most_Pa)}`;
  });
  const air = form.si("surroundings") ?? 101_325;
  const now = charge ? (form.si("pressure") ?? 0) + air : siOf(answer.outputs, "absolute");
  const at = charge
    ? Math.max(iceTemperature(Math.max(now, low)), from)
    : siOf(answer.outputs, "temperature");
  const shownAt = charge && now >= CO2_TRIPLE.pascal ? siOf(answer.outputs, "boils") : at;
  const ice = Array.from({ length: 20 }, (_, index) => {
    const pascal = low * (CO2_TRIPLE.pascal / low) ** (index / 19);
    return `${x(iceTemperature(pascal))} ${y(pascal)}`;
  });
  const ticksP = (system === "us" ? [10, 20, 50, 100, 200, 500, 1000] : [0.5, 1, 2, 5, 10, 20, 50, 100])
    .map((value) => ({ value, pascal: value * pressure.scale }))
    .filter(({ pascal }) => pascal >= low && pascal <= high);
  const step = system === "us" ? 40 : 20;
  const first = Math.ceil(fromSI(from, degrees) / step) * step;
  const ticksT = Array.from({ length: 12 }, (_, index) => first + index * step).filter(
    (value) => value * degrees.scale + (degrees.offset ?? 0) <= most_K,
  );
  const says = `${inUnit(now, pressure)}, ${inUnit(shownAt, degrees)}`;
  const right = x(shownAt) > BOX.right - 190;
  return (
    <figure>
      <figcaption className="caption">
        Boiling line of {co2 ? "CO2" : "ammonia"}: {pressure.label} over {degrees.label}
      </figcaption>
      <svg viewBox={`0 0 ${W} ${H}`} className="w-full" role="img" aria-label={`The plant stands at ${says}`}>
        <defs>
          <pattern
            id="dry-ice"
            width={9}
            height={9}
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(45)"
          >
            <rect width={9} height={9} fill="var(--card)" />
            <rect width={2.5} height={9} fill="var(--ink-water)" />
          </pattern>
        </defs>
        {co2 && (
          <>
            <path
              d={`M${ice.join("L")}L${x(CO2_TRIPLE.kelvin)} ${BOX.top}L${BOX.left} ${BOX.top}L${BOX.left} ${BOX.bottom}z`}
              fill="url(#dry-ice)"
            />
            <rect
              x={BOX.left}
              y={y(CO2_TRIPLE.pascal)}
              width={BOX.right - BOX.left}
              height={BOX.bottom - y(CO2_TRIPLE.pascal)}
              fill="var(--stop-bg)"
              opacity={0.75}
            />
            <path
              d={`M${ice.join("L")}`}
              fill="none"
              stroke="var(--ink-water-deep)"
              strokeWidth={2.5}
              strokeDasharray="7 5"
            />
            <path
              d={`M${BOX.left} ${y(CO2_TRIPLE.pascal)}H${BOX.right}`}
              stroke="var(--stop)"
              strokeWidth={2}
              strokeDasharray="9 6"
            />
            <text
              x={BOX.right - 6}
              y={y(CO2_TRIPLE.pascal) + 21}
              textAnchor="end"
              fontSize={16}
              fill="var(--stop)"
              fontWeight={600}
            >
              below {inUnit(CO2_TRIPLE.pascal, pressure)}: dry ice, no liquid
            </text>
          </>
        )}
        {ticksP.map(({ value, pascal }) => (
          <g key={value}>
            <path d={`M${BOX.left} ${y(pascal)}H${BOX.right}`} stroke="var(--rule)" strokeDasharray="2 5" />
            <text
              x={BOX.left - 8}
              y={y(pascal) + 5}
              textAnchor="end"
              className="plate"
              fontSize={16}
              fill="var(--soft)"
            >
              {digits(value)}
            </text>
          </g>
        ))}
        {ticksT.map((value) => {
          const at = x(value * degrees.scale + (degrees.offset ?? 0));
          return (
            <text
              key={value}
              x={at}
              y={BOX.bottom + 22}
              textAnchor="middle"
              className="plate"
              fontSize={16}
              fill="var(--soft)"
            >
              {value}
            </text>
          );
        })}
        <path
          d={`M${BOX.left} ${BOX.top}V${BOX.bottom}H${BOX.right}`}
          fill="none"
          stroke="var(--soft)"
          strokeWidth={2}
        />
        <path d={`M${line.join("L")}`} fill="none" stroke="var(--ink)" strokeWidth={3.5} />
        <path
          d={`M${BOX.left} ${y(now)}H${x(shownAt)}V${BOX.bottom}`}
          fill="none"
          stroke="var(--brass)"
          strokeWidth={1.8}
          strokeDasharray="4 4"
        />
        <circle
          cx={x(shownAt)}
          cy={y(now)}
          r={9}
          fill="var(--card)"
          stroke={answer.verdict === "pass" ? "var(--go)" : "var(--stop)"}
          strokeWidth={4}
        />
        <text
          x={x(shownAt) + (right ? -16 : 16)}
          y={y(now) + (right ? -12 : 24)}
          textAnchor={right ? "end" : "start"}
          className="plate"
          fontSize={19}
          fill="var(--ink)"
          stroke="var(--card)"
          strokeWidth={4}
          paintOrder="stroke"
        >
          {says}
        </text>
      </svg>
    </figure>
  );
}
