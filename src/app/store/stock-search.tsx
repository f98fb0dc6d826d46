"use client";

import { Plus } from "lucide-react";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { isDay } from "@/core/formats";
import { DateField } from "@/ui/kit/date-field";
import type { Option } from "@/ui/kit/select-field";
import { FilterField } from "@/ui/list/filter-field";
import { type ListAsk, listAddress } from "@/ui/list/list-address";
import { SearchField } from "@/ui/list/search-field";

/** What of the stock is shown: by words, by place, as it lay on a day; and taken along as a file. */
export function StockSearch({
  ask,
  places,
  add,
}: {
  ask: ListAsk;
  places: readonly Option[];
  /** Where an item is added. */
  add: string;
}) {
  const router = useRouter();
  const go = (change: ListAsk) => router.replace(listAddress("/store", ask, change), { scroll: false });
  const on = String(ask.on ?? "");
  const more = (
    <>
      <div className="w-[208px] max-w-full">
        <DateField
          label="As it lay on"
          value={on}
          onChange={(day) => (day === "" || isDay(day)) && go({ on: day })}
        />
      </div>
      <a className="btn btn-quiet" href={listAddress("/api/v1/export/stock.csv", {}, { on })} download>
        CSV
      </a>
      <Link href={add} className="btn btn-quiet">
        <Plus size={18} aria-hidden /> Add an item
      </Link>
    </>
  );
  return (
    <div className="no-print flex flex-wrap items-end gap-3">
      <SearchField
        placeholder="Name, number, label, sheet"
        find={String(ask.find ?? "")}
        onFind={(find) => go({ find })}
      />
      <FilterField
        filter={{
          name: "place",
          label: "Lies at",
          options: places.map(({ id, name }) => [id, name] as const),
        }}
        value={String(ask.place ?? "")}
        onValue={(place) => go({ place })}
      />
      <div className="hidden flex-wrap items-end gap-3 sm:flex">{more}</div>
      <details className="w-full sm:hidden">
        <summary className="min-h-11 content-center underline underline-offset-4">More</summary>
        <div className="flex flex-wrap items-end gap-3 pb-2">{more}</div>
      </details>
    </div>
  );
}
