"use client";

import { format } from "date-fns";
import {
  CartesianGrid,
  Line,
  LineChart,
  ReferenceArea,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from "recharts";
import { fromSI, toSI, unit } from "@/core/quantity";
import { useFigures } from "@/ui/use-figures";

/** One measured quantity over the years, with the band its sheet allows. */
export function ReadingHistory({
  title,
  rows,
  unitId,
  checkUnitId,
  low,
  high,
}: {
  title: string;
  rows: readonly { at: number; si: number; by: string }[];
  unitId: string;
  checkUnitId: string;
  low?: number;
  high?: number;
}) {
  const { digits, inUnit } = useFigures();
  const shown = unit(unitId);
  const limit = (value: number) => fromSI(toSI(value, unit(checkUnitId)), shown);
  const data = rows.map((row) => ({ at: row.at, value: fromSI(row.si, shown), by: row.by }));
  const values = [
    ...data.map((each) => each.value),
    ...(low === undefined ? [] : [limit(low)]),
    ...(high === undefined ? [] : [limit(high)]),
  ];
  const [least, most] = [Math.min(...values), Math.max(...values)];
  const pad = (most - least) * 0.12 || 1;
  const last = rows.at(-1)!;
  return (
    <figure className="mt-1">
      <figcaption className="flex flex-wrap justify-between gap-x-4">
        <b className="first-letter:uppercase">{title}</b>
        <span className="plate text-lead">
          {inUnit(last.si, shown)}
          {low !== undefined || high !== undefined ? (
            <span className="text-soft">
              {" "}
              · allowed {low === undefined ? "up" : digits(limit(low))} to{" "}
              {high === undefined ? "any" : digits(limit(high))} {shown.label}
            </span>
          ) : null}
        </span>
      </figcaption>
      <div className="h-[138px]">
        <ResponsiveContainer width="100%" height="100%" initialDimension={{ width: 520, height: 138 }}>
          <LineChart data={data} margin={{ top: 8, right: 12, bottom: 0, left: -12 }} accessibilityLayer>
            <CartesianGrid stroke="var(--rule)" strokeDasharray="2 5" vertical={false} />
            <XAxis
              dataKey="at"
              type="number"
              domain={["dataMin", "dataMax"]}
              tickFormatter={(at: number) => format(at, "MMM yy")}
              stroke="var(--soft)"
              fontSize={13}
            />
            <YAxis
              domain={[least - pad, most + pad]}
              tickFormatter={(value: number) => digits(value)}
              stroke="var(--soft)"
              fontSize={13}
              width={56}
            />
            {low !== undefined && (
              <ReferenceArea y1={least - pad} y2={limit(low)} fill="var(--stop-bg)" fillOpacity={0.9} />
            )}
            {high !== undefined && (
              <ReferenceArea y1={limit(high)} y2={most + pad} fill="var(--stop-bg)" fillOpacity={0.9} />
            )}
            <Tooltip
              labelFormatter={(at) => format(Number(at), "d MMM yyyy")}
              formatter={(value) => [`${digits(Number(value))} ${shown.label}`, title]}
              contentStyle={{ background: "var(--card)", borderColor: "var(--rule)" }}
            />
            <Line
              dataKey="value"
              stroke="var(--ink)"
              strokeWidth={2}
              dot={{ r: 4, fill: "var(--ink-lit-deep)", stroke: "var(--ink)" }}
              isAnimationActive={false}
            />
          </LineChart>
        </ResponsiveContainer>
      </div>
    </figure>
  );
}
