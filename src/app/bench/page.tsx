import type { Metadata } from "next";
import Link from "next/link";
import { CALCULATORS } from "@/core/calculators";
import { Page } from "@/ui/page";

export const metadata: Metadata = { title: "Bench book" };

export default function BenchPage() {
  return (
    <Page title="Bench book" says="The sums of the trade, each with its source.">
      <ul className="grid gap-4 md:grid-cols-2">
        {CALCULATORS.map((each) => (
          <li key={each.id}>
            <Link
              href={`/bench/${each.id}`}
              className="card block h-full border-t-[7px] border-t-brass-line p-4"
            >
              <b className="text-[20px]">{each.title}</b>
              <span className="mt-1 block text-soft">{each.says}</span>
            </Link>
          </li>
        ))}
      </ul>
    </Page>
  );
}
