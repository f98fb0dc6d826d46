"use client";

import { Area, AreaChart, CartesianGrid, ResponsiveContainer, Tooltip, XAxis, YAxis } from "recharts";
import { drainCurve, siOf } from "@/core/calculators";
import { type Duration, formatDuration } from "@/core/quantity";
import type { PictureProps } from "./props";

/** Level against time as it runs out. */
export function DrainPicture({ answer }: PictureProps) {
  const time = siOf(answer.outputs, "time") as Duration;
  const data = drainCurve(time).map(({ seconds, share }) => ({ seconds, level: share * 100 }));
  return (
    <figure>
      <figcaption className="caption">Level above the drain, % of the start</figcaption>
      <div className="h-[260px]">
        <ResponsiveContainer width="100%" height="100%" initialDimension={{ width: 700, height: 260 }}>
          <AreaChart data={data} margin={{ top: 8, right: 16, bottom: 4, left: 0 }}>
            <CartesianGrid stroke="var(--rule)" strokeDasharray="2 5" />
            <XAxis
              dataKey="seconds"
              type="number"
              domain={[0, "dataMax"]}
              tickFormatter={(value: number) => formatDuration(value)}
              stroke="var(--soft)"
              fontSize={13}
            />
            <YAxis domain={[0, 100]} unit=" %" stroke="var(--soft)" fontSize={13} width={54} />
            <Tooltip
              labelFormatter={(value) => formatDuration(Number(value))}
              formatter={(value) => [`${Math.round(Number(value))} %`, "level"]}
              contentStyle={{ background: "var(--card)", borderColor: "var(--rule)" }}
            />
            <Area
              dataKey="level"
              stroke="var(--ink-water-deep)"
              strokeWidth={2.5}
              fill="var(--ink-water)"
              fillOpacity={0.35}
              isAnimationActive={false}
            />
          </AreaChart>
        </ResponsiveContainer>
      </div>
    </figure>
  );
}
