"use client";

import { Search } from "lucide-react";
import Link from "next/link";
import { useState } from "react";
import { CHAPTERS, type Chapter, type Described, findCalculators } from "@/core/calculators";
import { ChapterMark } from "@/ui/draw/chapter-mark";
import { Empty } from "@/ui/notice";

/** A calculation as the list shows and finds it. */
export type BenchEntry = Described & { readonly id: string; readonly chapter: Chapter };

/** All calculations by chapter; typing finds them by the words of the trade. */
export function BenchList({ calculators }: { calculators: readonly BenchEntry[] }) {
  const [asked, setAsked] = useState("");
  const found = findCalculators(calculators, asked);
  return (
    <div className="flex flex-col gap-5">
      <label className="relative block">
        <span className="sr-only">Find a calculation</span>
        <Search size={22} aria-hidden className="absolute top-1/2 left-4 -translate-y-1/2 text-soft" />
        <input
          className="field pl-12! text-lead"
          type="search"
          placeholder="rubber ring · what size spanner · how long will it last"
          value={asked}
          onChange={(event) => setAsked(event.target.value)}
        />
      </label>
      <p role="status" className="sr-only">
        {found.length} found
      </p>
      {found.length === 0 && (
        <Empty>Nothing is called that here. Say what you hold in your hand, or what it does.</Empty>
      )}
      {asked.trim() !== "" ? (
        <Cards calculators={found} marked />
      ) : (
        CHAPTERS.map((chapter) => (
          <section key={chapter}>
            <h2 className="mb-2 flex items-center gap-2.5 font-bold text-lead">
              <ChapterMark chapter={chapter} /> {chapter}
            </h2>
            <Cards calculators={calculators.filter((each) => each.chapter === chapter)} />
          </section>
        ))
      )}
    </div>
  );
}

function Cards({ calculators, marked }: { calculators: readonly BenchEntry[]; marked?: boolean }) {
  return (
    <ul className="grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
      {calculators.map((each) => (
        <li key={each.id}>
          <Link href={`/bench/${each.id}`} className="card flex h-full gap-3 px-4 py-3">
            {marked && <ChapterMark chapter={each.chapter} />}
            <span>
              <b className="text-lead leading-tight">{each.title}</b>
              <span className="mt-0.5 block text-note text-soft leading-snug">{each.says}</span>
            </span>
          </Link>
        </li>
      ))}
    </ul>
  );
}
