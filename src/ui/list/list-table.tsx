"use client";

import clsx from "clsx";
import { Download, ListChecks } from "lucide-react";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { type ReactNode, useState, useTransition } from "react";
import { grouped } from "@/core/quantity";
import { Empty } from "../notice";
import { ColumnChooser } from "./column-chooser";
import { FilterField } from "./filter-field";
import { type ListAsk, listAddress, shownColumns } from "./list-address";
import type { ListColumn, ListPage } from "./list-page";
import { Pages } from "./pages";
import { Rows } from "./rows";
import { SearchField } from "./search-field";

/** A list that is searched, narrowed, sorted and paged by its address; the server gives one page of rows. */
export function ListTable<Row extends object, Id extends string>({
  path,
  ask,
  columns,
  rows,
  total,
  pageSize,
  rowId,
  filters,
  placeholder,
  exportPath,
  none,
  several,
}: ListPage<Row> & {
  /** What can be done with several rows at once: shown once they are chosen. */
  readonly several?: (chosen: ReadonlySet<string>, letGo: () => void) => ReactNode;
  readonly path: string;
  readonly columns: readonly ListColumn<Row, Id>[];
  readonly rowId: (row: Row) => string;
  readonly placeholder: string;
  readonly exportPath: string;
  readonly none: ReactNode;
}) {
  const router = useRouter();
  const [waiting, start] = useTransition();
  const [narrowing, setNarrowing] = useState(false);
  const [chosen, setChosen] = useState<ReadonlySet<string>>();
  const choosing = chosen && {
    chosen,
    choose: (ids: readonly string[], on: boolean) =>
      setChosen(on ? new Set([...chosen, ...ids]) : new Set([...chosen].filter((id) => !ids.includes(id)))),
  };
  const go = (change: ListAsk) =>
    start(() => router.replace(listAddress(path, ask, change), { scroll: false }));
  const shown = shownColumns(
    columns.map(({ id }) => id),
    ask.columns,
  );
  const pages = Math.max(1, Math.ceil(total / pageSize));
  const narrowed = filters.some(({ name }) => ask[name] !== undefined) || (ask.find ?? "") !== "";
  return (
    <div className="flex flex-col gap-3">
      <div className="no-print flex flex-wrap items-end gap-2">
        <SearchField placeholder={placeholder} find={ask.find ?? ""} onFind={(find) => go({ find })} />
        <button
          type="button"
          className="btn btn-quiet md:hidden"
          aria-expanded={narrowing}
          onClick={() => setNarrowing(!narrowing)}
        >
          Narrow
        </button>
        {/* In the hand the rows come first; what narrows them is one touch away. */}
        <div className={clsx("w-full flex-wrap items-end gap-2 md:contents", narrowing ? "flex" : "hidden")}>
          {filters.map((filter) => (
            <FilterField
              key={filter.name}
              filter={filter}
              value={String(ask[filter.name] ?? "")}
              onValue={(value) => go({ [filter.name]: value })}
            />
          ))}
          <ColumnChooser
            columns={columns}
            shown={shown}
            onShown={(ids) => go({ columns: ids.join(","), page: ask.page })}
          />
          <a
            className="btn btn-quiet ml-auto"
            href={listAddress(exportPath, ask, { page: undefined, columns: undefined })}
            download
          >
            <Download size={19} aria-hidden /> CSV
          </a>
        </div>
      </div>
      <div className="flex flex-wrap items-center justify-between gap-x-4">
        <p role="status" className="text-soft">
          {waiting ? "Looking …" : `${grouped(total)} ${total === 1 ? "row" : "rows"}`}
          {narrowed && (
            <>
              {" "}
              <Link href={path} className="underline underline-offset-4">
                Show all
              </Link>
            </>
          )}
        </p>
        {several !== undefined && (
          <button
            type="button"
            className="btn btn-quiet no-print"
            aria-pressed={chosen !== undefined}
            onClick={() => setChosen(chosen === undefined ? new Set() : undefined)}
          >
            <ListChecks size={19} aria-hidden /> Several
          </button>
        )}
      </div>
      {rows.length === 0 ? (
        <div className="card px-4">
          <Empty>{none}</Empty>
        </div>
      ) : (
        <div className={clsx("card overflow-hidden", waiting && "opacity-60")}>
          <Rows
            path={path}
            ask={ask}
            columns={columns}
            shown={shown}
            rows={rows}
            rowId={rowId}
            {...(choosing !== undefined && { choosing })}
          />
        </div>
      )}
      <Pages path={path} ask={ask} pages={pages} />
      {several !== undefined && chosen !== undefined && several(chosen, () => setChosen(undefined))}
    </div>
  );
}
