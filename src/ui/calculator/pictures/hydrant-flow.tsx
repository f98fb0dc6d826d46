"use client";

import {
  CartesianGrid,
  Legend,
  Line,
  LineChart,
  ReferenceDot,
  ReferenceLine,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from "recharts";
import { siOf } from "@/core/calculators";
import { fromSI, unit } from "@/core/quantity";
import { useFigures } from "@/ui/use-figures";
import type { PictureProps } from "./props";

/** A main's pressure falls in a straight line over flow to this power (Hazen and Williams). */
const POWER = 1.85;
const TICKS = [0.25, 0.5, 0.625, 0.75, 0.875, 1];

/** The supply curve on the paper it is drawn on: pressure against Q^1.85, an earlier test laid over it. */
export function HydrantPicture({ form, answer, system }: PictureProps) {
  const { digits, fixed, inUnit } = useFigures();
  const [flowUnit, pressureUnit] = [
    unit(system === "us" ? "US gpm" : "L/min"),
    unit(system === "us" ? "psi g" : "bar g"),
  ];
  const curve = answer.tables.curve ?? [];
  const most = siOf(curve.at(-1)!, "flow");
  const stretched = (flow: number) => (flow / most) ** POWER;
  const data = curve.map((row) => ({
    at: stretched(siOf(row, "flow")),
    now: fromSI(siOf(row, "pressure"), pressureUnit),
    ...(row.before !== undefined && { before: fromSI(siOf(row, "before"), pressureUnit) }),
  }));
  const tested = stretched(siOf(answer.outputs, "flow"));
  const rated = stretched(siOf(answer.outputs, "rated"));
  const residual = form.si("residual");
  const ratedAt = form.si("rated");
  return (
    <figure>
      <figcaption className="caption">
        Pressure ({pressureUnit.label}) against flow ({flowUnit.label}), on paper of Q to the 1.85
      </figcaption>
      <div className="h-[320px]">
        <ResponsiveContainer width="100%" height="100%" initialDimension={{ width: 780, height: 320 }}>
          <LineChart data={data} margin={{ top: 12, right: 24, bottom: 4, left: 0 }}>
            <CartesianGrid stroke="var(--rule)" strokeDasharray="2 5" />
            <XAxis
              dataKey="at"
              type="number"
              domain={[0, 1]}
              ticks={[0, ...TICKS.map((share) => share ** POWER)]}
              tickFormatter={(at: number) => inUnit(at ** (1 / POWER) * most, flowUnit).split(" ")[0]!}
              stroke="var(--soft)"
              fontSize={14}
            />
            <YAxis
              stroke="var(--soft)"
              fontSize={14}
              width={44}
              tickFormatter={digits}
              domain={[0, (most: number) => Math.ceil(most)]}
            />
            <Tooltip
              labelFormatter={(at) => inUnit(Number(at) ** (1 / POWER) * most, flowUnit)}
              formatter={(value, name) => [`${fixed(Number(value), 2)} ${pressureUnit.label}`, name]}
              contentStyle={{ background: "var(--card)", borderColor: "var(--rule)" }}
            />
            {data.some((each) => "before" in each) && <Legend />}
            <Line
              dataKey="now"
              name="this test"
              stroke="var(--ink-water-deep)"
              strokeWidth={3}
              dot={false}
              isAnimationActive={false}
            />
            <Line
              dataKey="before"
              name="earlier test"
              stroke="var(--soft)"
              strokeWidth={2}
              strokeDasharray="8 5"
              dot={false}
              isAnimationActive={false}
            />
            {ratedAt !== undefined && (
              <ReferenceLine y={fromSI(ratedAt, pressureUnit)} stroke="var(--stop)" strokeDasharray="6 4" />
            )}
            {residual !== undefined && (
              <ReferenceDot
                x={tested}
                y={fromSI(residual, pressureUnit)}
                r={7}
                fill="var(--card)"
                stroke="var(--ink-water-deep)"
                strokeWidth={3}
                label={{ value: "tested", position: "top", fill: "var(--ink)", fontSize: 15 }}
              />
            )}
            {ratedAt !== undefined && (
              <ReferenceDot
                x={rated}
                y={fromSI(ratedAt, pressureUnit)}
                r={8}
                fill="var(--stop)"
                stroke="var(--card)"
                strokeWidth={2}
                label={{ value: "rated", position: "top", fill: "var(--ink)", fontSize: 15 }}
              />
            )}
          </LineChart>
        </ResponsiveContainer>
      </div>
    </figure>
  );
}
