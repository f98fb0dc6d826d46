"use client";

import { useState } from "react";
import { Area, AreaChart, CartesianGrid, ResponsiveContainer, Tooltip, XAxis, YAxis } from "recharts";
import { type Answer, drainCurve } from "@/core/calculators";
import { crossingOrder } from "@/core/fastening";
import { type Duration, formatDuration, formatIn, type UnitSystem, unit } from "@/core/quantity";
import { BoltCircle } from "./draw/bolt-circle";

export interface PictureProps {
  readonly inputs: Readonly<Record<string, string>>;
  readonly answer: Answer;
  readonly system: UnitSystem;
}

const PASSES = 4;

/** The circle to try the order on: tap through it, pass by pass. */
export function BoltUpPicture({ inputs, answer, system }: PictureProps) {
  const bolts = Math.max(3, Math.min(64, Math.round(Number(inputs.bolts) || 8)));
  const [pulls, setPulls] = useState(0);
  const at = pulls % (bolts * PASSES + 1);
  const next =
    at === bolts * PASSES ? undefined : { pass: Math.floor(at / bolts) + 1, bolt: (at % bolts) + 1 };
  const share = next === undefined ? 1 : [0.3, 0.6, 1, 1][next.pass - 1]!;
  return (
    <div className="grid items-center gap-4 md:grid-cols-[340px_1fr]">
      <BoltCircle
        bolts={bolts}
        order={crossingOrder(bolts)}
        passes={PASSES}
        circular
        done={(pass, bolt) => (pass - 1) * bolts + bolt <= at}
        {...(next && { next })}
        label={`Pulling order of ${bolts} bolts`}
        onPull={() => setPulls(at + 1)}
      />
      <div>
        <p className="font-bold text-[22px] leading-tight">
          {next === undefined
            ? "Done. Tap to begin again."
            : `Pass ${next.pass}: pull to ${formatIn(answer.outputs.torque!.si * share, unit(system === "us" ? "ft·lbf" : "N·m"))}`}
        </p>
        <p className="mt-1 text-soft">
          Crosswise in three passes, then once round at full torque until no nut moves.
        </p>
        <button type="button" className="btn btn-go mt-3" onClick={() => setPulls(at + 1)}>
          {next === undefined ? "Begin again" : `Bolt ${next.bolt} done`}
        </button>
      </div>
    </div>
  );
}

/** Level against time as it runs out. */
export function DrainPicture({ answer }: PictureProps) {
  const time = answer.outputs.time!.si as Duration;
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
              stroke="#22609C"
              strokeWidth={2.5}
              fill="#3F84C6"
              fillOpacity={0.35}
              isAnimationActive={false}
            />
          </AreaChart>
        </ResponsiveContainer>
      </div>
    </figure>
  );
}
