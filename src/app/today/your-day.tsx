import { ChevronRight } from "lucide-react";
import Link from "next/link";
import type { NextFor } from "@/server/today/next-for";
import { Plate } from "@/ui/plate";
import { Day } from "@/ui/when";

/** What is next by the plan, and whether it is another than one was told. */
export function YourDay({ day: { task, from, changed } }: { day: NextFor }) {
  return (
    <Link
      href="/rounds/mine"
      className="card flex min-h-14 flex-wrap items-center gap-x-3 px-4 py-2 lg:col-span-2"
    >
      <span className="caption">Your day</span>
      <Plate id={task} />
      <Day at={Date.parse(from)} time />
      {changed > 0 && <strong className="text-wait">{changed} other than you were told</strong>}
      <ChevronRight size={20} aria-hidden className="ml-auto" />
    </Link>
  );
}
