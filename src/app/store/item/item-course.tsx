"use client";

import { format } from "date-fns";
import {
  CartesianGrid,
  Line,
  LineChart,
  ReferenceLine,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from "recharts";
import { Money } from "@/ui/money";
import { Panel } from "@/ui/page";

interface Course {
  readonly name: string;
  readonly pieces: number;
  readonly least?: number;
  /** Newest first. */
  readonly changes: readonly { readonly at: number; readonly change: number }[];
}

const INKS = ["var(--ink)", "var(--cold)", "var(--brass)", "var(--go-text)"];

/** How many lay where, from entry to entry back from what lies there now. */
function points({ pieces, changes }: Course, now: number): { at: number; pieces: number }[] {
  let left = pieces;
  const back = [{ at: now, pieces: left }];
  for (const { at, change } of changes) {
    back.push({ at, pieces: left });
    left -= change;
  }
  return back.reverse();
}

/** The pieces at each place over time, with the least level; and what one of them cost. */
export function ItemCourse({
  now,
  places,
  prices,
  currency,
}: {
  now: number;
  places: readonly Course[];
  prices: readonly { readonly at: number; readonly price: number; readonly place: string }[];
  currency: string;
}) {
  const drawn = places.filter(({ changes }) => changes.length > 1);
  const least = Math.max(0, ...places.map((place) => place.least ?? 0));
  const first = Math.min(now, ...drawn.flatMap(({ changes }) => changes.map(({ at }) => at)));
  if (drawn.length === 0 && prices.length < 2) return null;
  return (
    <Panel title="How it went">
      {drawn.length > 0 && (
        <figure>
          <figcaption className="flex flex-wrap gap-x-4">
            {drawn.map(({ name }, index) => (
              <span key={name} className="flex items-center gap-1.5">
                <svg width={22} height={8} aria-hidden="true">
                  <path
                    d="M0 4H22"
                    stroke={INKS[index % INKS.length]}
                    strokeWidth={3}
                    strokeDasharray={index === 0 ? undefined : `${7 - index} ${2 + index}`}
                  />
                </svg>
                {name}
              </span>
            ))}
            <span className="text-soft">pieces</span>
          </figcaption>
          <div className="h-[170px]">
            <ResponsiveContainer width="100%" height="100%" initialDimension={{ width: 300, height: 170 }}>
              <LineChart margin={{ top: 10, right: 12, bottom: 0, left: -18 }} accessibilityLayer>
                <CartesianGrid stroke="var(--rule)" strokeDasharray="2 5" vertical={false} />
                <XAxis
                  dataKey="at"
                  type="number"
                  domain={[first, now]}
                  tickFormatter={(at: number) => format(at, "d MMM yy")}
                  stroke="var(--soft)"
                  fontSize={13}
                />
                <YAxis
                  dataKey="pieces"
                  allowDecimals={false}
                  domain={[0, "auto"]}
                  stroke="var(--soft)"
                  fontSize={13}
                  width={52}
                />
                {least > 0 && (
                  <ReferenceLine
                    y={least}
                    stroke="var(--stop)"
                    strokeDasharray="4 3"
                    label={{
                      value: `at least ${least}`,
                      position: "insideTopLeft",
                      fill: "var(--stop)",
                      fontSize: 13,
                    }}
                  />
                )}
                <Tooltip
                  labelFormatter={(at) => format(Number(at), "d MMM yyyy")}
                  formatter={(value, name) => [`${value} pcs`, name]}
                  contentStyle={{ background: "var(--card)", borderColor: "var(--rule)" }}
                />
                {drawn.map((place, index) => (
                  <Line
                    key={place.name}
                    name={place.name}
                    data={points(place, now)}
                    dataKey="pieces"
                    type="stepAfter"
                    stroke={INKS[index % INKS.length] ?? "var(--ink)"}
                    strokeWidth={2.5}
                    {...(index > 0 && { strokeDasharray: `${7 - index} ${2 + index}` })}
                    dot={{ r: 3 }}
                    isAnimationActive={false}
                  />
                ))}
              </LineChart>
            </ResponsiveContainer>
          </div>
        </figure>
      )}
      {prices.length > 0 && (
        <table className="mt-3 w-full">
          <caption className="caption text-left">What one cost</caption>
          <tbody className="dashed">
            {prices.map(({ at, price, place }) => (
              <tr key={`${at} ${place} ${price}`}>
                <td className="py-1.5 text-soft" suppressHydrationWarning>
                  {format(at, "d MMM yyyy")}
                </td>
                <td>{place}</td>
                <td className="plate text-right text-lead">
                  <Money amount={price} currency={currency} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </Panel>
  );
}
