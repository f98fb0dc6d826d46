import Link from "next/link";
import { keptFrom } from "@/core/calculators";
import { formatQuantity, isDimension, type Notation } from "@/core/quantity";
import { Day } from "./when";

const SHOWN = 8;

/** Results of the bench book that were kept with a valve, newest first. */
export function BenchReadings({
  readings,
  notation,
}: {
  readings: readonly { at: number; what: string; dimension: string; si: number; typed: string; by: string }[];
  notation: Notation;
}) {
  const kept = readings
    .flatMap((reading) => {
      const from = keptFrom(reading.what);
      if (from === undefined) return [];
      const { calculator, output } = from;
      // An earlier rated flow is laid over the next test's curve.
      const over =
        reading.what === "hydrant-flow-rated" ? `?before=${(reading.si * 60_000).toPrecision(6)}+L/min` : "";
      return [
        {
          ...reading,
          title: `${calculator.title}: ${output.label}`,
          href: `/bench/${calculator.id}${over}`,
        },
      ];
    })
    .toReversed()
    .slice(0, SHOWN);
  if (kept.length === 0) return null;
  return (
    <section>
      <h3 className="caption mt-3">Worked out</h3>
      <ul className="dashed">
        {kept.map((each) => (
          <li key={`${each.at}${each.what}`} className="grid grid-cols-[1fr_auto] gap-3 py-1.5">
            <span>
              <Link href={each.href} className="underline underline-offset-4">
                {each.title}
              </Link>
              <small className="block text-soft">
                <Day at={each.at} time />, {each.by}
              </small>
            </span>
            <b className="plate text-lead">
              {isDimension(each.dimension) && each.dimension !== "number"
                ? formatQuantity(each.si, each.dimension, notation)
                : each.typed}
            </b>
          </li>
        ))}
      </ul>
    </section>
  );
}
