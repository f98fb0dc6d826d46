"use client";

import { format } from "date-fns";
import {
  CartesianGrid,
  Line,
  LineChart,
  ReferenceArea,
  ReferenceLine,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from "recharts";
import { fromSI, toSI, unit } from "@/core/quantity";
import type { Meets } from "@/core/rounds";
import { useFigures } from "@/ui/use-figures";

const YEAR_MS = 365.25 * 86_400_000;

/** One measured quantity over the years, with the band its sheet allows. */
export function ReadingHistory({
  title,
  rows,
  unitId,
  checkUnitId,
  low,
  high,
  meets,
  says,
}: {
  title: string;
  rows: readonly { at: number; si: number; by: string }[];
  unitId: string;
  checkUnitId: string;
  low?: number;
  high?: number;
  /** When it may meet a limit: drawn where it lies ahead. */
  meets?: Meets;
  /** Where it goes, and what of it does not fit. */
  says: readonly string[];
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
  const first = rows[0]!;
  // What lies further ahead than it was looked at so far is not drawn.
  const ahead = last.at + Math.max(last.at - first.at, YEAR_MS);
  const until = meets && Math.min(meets.late ?? meets.likely ?? meets.early, ahead);
  const drawn = meets !== undefined && until !== undefined && meets.early < ahead;
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
              domain={["dataMin", drawn ? Math.max(until, last.at) : "dataMax"]}
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
            {drawn && (
              <ReferenceArea
                x1={meets.early}
                x2={Math.max(until, meets.early)}
                fill="var(--brass-line)"
                fillOpacity={0.35}
              />
            )}
            {drawn && meets.likely !== undefined && meets.likely <= until && (
              <ReferenceLine
                segment={[
                  { x: last.at, y: fromSI(last.si, shown) },
                  { x: meets.likely, y: fromSI(meets.limit, shown) },
                ]}
                stroke="var(--ink)"
                strokeDasharray="6 4"
                strokeWidth={2}
              />
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
      {says.map((each) => (
        <p key={each} className="text-note text-soft">
          {each}
        </p>
      ))}
    </figure>
  );
}
