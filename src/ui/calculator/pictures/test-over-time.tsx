"use client";

import { siOf } from "@/core/calculators";
import { formatDuration, fromSI, unit } from "@/core/quantity";
import { trendOf } from "@/core/statistics";
import { useFigures } from "@/ui/use-figures";
import { round } from "../../draw/round";
import type { PictureProps } from "./props";

const [W, H] = [700, 268];
const BOX = { left: 70, right: 640, top: 16, bottom: 236 };

interface Point {
  readonly seconds: number;
  readonly gauge: number;
}

/** Readings over time, the line that temperature alone explains, and the band within which nothing is proven. */
function TestOverTime({
  points,
  warming,
  band,
  bad,
  system,
}: {
  points: readonly Point[];
  /** Pa that temperature alone explains, as far as it was read. */
  warming: number | undefined;
  band: number;
  bad: boolean;
  system: PictureProps["system"];
}) {
  const shown = unit(system === "us" ? "psi" : "bar");
  const [first, last] = [points[0]!, points.at(-1)!];
  const span = last.seconds - first.seconds;
  const explained = (seconds: number) => first.gauge + ((warming ?? 0) * (seconds - first.seconds)) / span;
  const all = [
    ...points.map((point) => point.gauge),
    explained(last.seconds) + band,
    explained(last.seconds) - band,
    first.gauge - band,
    first.gauge + band,
  ];
  const [low, high] = [Math.min(...all), Math.max(...all)];
  const pad = (high - low) * 0.12 || 1;
  const x = (seconds: number) =>
    round(BOX.left + ((seconds - first.seconds) / span) * (BOX.right - BOX.left));
  const y = (gauge: number) =>
    round(BOX.bottom - ((gauge - low + pad) / (high - low + 2 * pad)) * (BOX.bottom - BOX.top));
  const { digits } = useFigures();
  const say = (gauge: number) => digits(fromSI(gauge, shown));
  const fit = trendOf(points.map(({ seconds, gauge }) => ({ time: seconds, value: gauge })))!;
  const fitted = (seconds: number) => y(fit.at + fit.slope * (seconds - fit.middle));
  const [from, to] = [y(first.gauge), y(explained(last.seconds))];
  const [bandFrom, bandTo] = [y(first.gauge + band) - from, y(explained(last.seconds) - band) - to];
  return (
    <figure>
      <figcaption className="caption">Gauge ({shown.label} g) over time</figcaption>
      <svg
        viewBox={`0 0 ${W} ${H}`}
        className="w-full"
        role="img"
        aria-label={points
          .map((point) => `${say(point.gauge)} ${shown.label} after ${formatDuration(point.seconds)}`)
          .join(", ")}
      >
        <path
          d={`M${BOX.left} ${from + bandFrom}L${BOX.right} ${to - bandTo}V${to + bandTo}L${BOX.left} ${from - bandFrom}z`}
          fill="var(--go-bg)"
          stroke="var(--go)"
          strokeWidth={1}
        />
        <path
          d={`M${BOX.left} ${from}L${BOX.right} ${to}`}
          stroke="var(--go)"
          strokeWidth={2.5}
          strokeDasharray="9 6"
        />
        <path
          d={`M${points.map((point) => `${x(point.seconds)} ${y(point.gauge)}`).join("L")}`}
          fill="none"
          stroke={bad ? "var(--stop)" : "var(--ink)"}
          strokeWidth={3.5}
        />
        {points.length > 2 && (
          <path
            d={`M${BOX.left} ${fitted(first.seconds)}L${BOX.right} ${fitted(last.seconds)}`}
            stroke="var(--brass)"
            strokeWidth={2.5}
            strokeDasharray="3 5"
          />
        )}
        {points.map((point, index) => (
          <g key={point.seconds}>
            <circle
              cx={x(point.seconds)}
              cy={y(point.gauge)}
              r={8}
              fill="var(--card)"
              stroke={bad && index > 0 ? "var(--stop)" : "var(--ink)"}
              strokeWidth={3.5}
            />
            <text
              x={x(point.seconds) + (index === 0 ? 14 : 0)}
              y={y(point.gauge) - 15}
              textAnchor={index === 0 ? "start" : "middle"}
              className="plate"
              fontSize={19}
              fill="var(--ink)"
              stroke="var(--card)"
              strokeWidth={4}
              paintOrder="stroke"
            >
              {say(point.gauge)}
            </text>
          </g>
        ))}
        <path
          d={`M${BOX.left} ${BOX.top}V${BOX.bottom}H${BOX.right}`}
          fill="none"
          stroke="var(--soft)"
          strokeWidth={2}
        />
        {points.map((point) => (
          <text
            key={point.seconds}
            x={x(point.seconds)}
            y={BOX.bottom + 22}
            textAnchor="middle"
            className="plate"
            fontSize={16}
            fill="var(--soft)"
          >
            {formatDuration(point.seconds)}
          </text>
        ))}
      </svg>
      <p className="px-2 text-note text-soft">
        {points.length > 2 ? "Dotted: the line through all readings. " : ""}
        {warming === undefined
          ? "Dashed: as it was at the start. "
          : "Dashed: what temperature alone explains. "}
        Green band: what this gauge or sheet cannot tell from nothing.
      </p>
    </figure>
  );
}

/** A test of two or three readings, by the field that says how much it cannot tell from nothing. */
function picture(band: (si: PictureProps["form"]["si"]) => number | undefined) {
  return function Picture({ form, answer, system }: PictureProps) {
    const [first, middle, last, time] = ["first", "middle", "last", "time"].map(form.si);
    const width = band(form.si);
    if (first === undefined || last === undefined || time === undefined || width === undefined) return null;
    const { outputs, verdict } = answer;
    return (
      <TestOverTime
        points={[
          { seconds: 0, gauge: first },
          ...(middle === undefined ? [] : [{ seconds: time / 2, gauge: middle }]),
          { seconds: time, gauge: last },
        ]}
        warming={outputs.warming === undefined ? undefined : siOf(outputs, "warming")}
        band={width}
        bad={verdict === "fail"}
        system={system}
      />
    );
  };
}

export const StandPicture = picture((si) => si("bound"));
export const DecayPicture = picture((si) => {
  const resolution = si("resolution");
  return resolution === undefined ? undefined : 2 * resolution;
});
