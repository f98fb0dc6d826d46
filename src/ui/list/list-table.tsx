"use client";

import {
  type ColumnDef,
  columnVisibilityFeature,
  FlexRender,
  rowSortingFeature,
  tableFeatures,
  useTable,
} from "@tanstack/react-table";
import clsx from "clsx";
import { ArrowDown, ArrowUp, Columns3, Download } from "lucide-react";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { type KeyboardEvent, type ReactNode, useEffect, useRef, useState, useTransition } from "react";
import { Empty } from "../notice";
import { type ListAsk, listAddress, shownColumns } from "./list-address";

/** A column: how it is headed, what it is sorted by, from which width it is shown, and what stands in it. */
export interface ListColumn<Row, Id extends string> {
  readonly id: Id;
  readonly title: string;
  /** The word by which the address sorts by it. */
  readonly sort?: string;
  readonly from?: "md" | "lg";
  readonly align?: "right";
  readonly cell: (row: Row) => ReactNode;
}

export interface ListFilter {
  readonly name: string;
  readonly label: string;
  readonly options: readonly (readonly [value: string, label: string])[];
}

const WIDTH = { md: "hidden md:table-cell", lg: "hidden lg:table-cell" } as const;
const features = tableFeatures({ columnVisibilityFeature, rowSortingFeature });
/** A pause in the typing after which the server is asked. */
const PAUSE_MS = 220;

/** What the server gives of a list: what was asked, one page of rows, and what it can be narrowed by. */
export interface ListPage<Row> {
  readonly ask: ListAsk & {
    readonly find?: string | undefined;
    readonly columns?: string | undefined;
    readonly sort: string;
    readonly page: number;
  };
  readonly rows: readonly Row[];
  readonly total: number;
  readonly pageSize: number;
  readonly filters: readonly ListFilter[];
}

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
}: ListPage<Row> & {
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
  const go = (change: ListAsk) =>
    start(() => router.replace(listAddress(path, ask, change), { scroll: false }));
  const shown = shownColumns(
    columns.map(({ id }) => id),
    ask.columns,
  );
  const table = useTable({
    features,
    data: rows as Row[],
    columns: columns.map(
      (column): ColumnDef<typeof features, Row> => ({
        id: column.id,
        header: column.title,
        cell: ({ row }) => column.cell(row.original),
      }),
    ),
    getRowId: rowId,
    manualSorting: true,
    state: { columnVisibility: Object.fromEntries(columns.map(({ id }) => [id, shown.includes(id)])) },
  });
  const byId = new Map(columns.map((column) => [column.id as string, column]));
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
      <p role="status" className="text-soft">
        {waiting ? "Looking …" : `${total.toLocaleString("en")} ${total === 1 ? "row" : "rows"}`}
        {narrowed && (
          <>
            {" "}
            <Link href={path} className="underline underline-offset-4">
              Show all
            </Link>
          </>
        )}
      </p>
      {rows.length === 0 ? (
        <div className="card px-4">
          <Empty>{none}</Empty>
        </div>
      ) : (
        <div className={clsx("card overflow-hidden", waiting && "opacity-60")}>
          <table className="w-full text-left" onKeyDown={moveByArrows}>
            <thead>
              {table.getHeaderGroups().map((group) => (
                <tr key={group.id} className="border-rule border-b-[1.5px]">
                  {group.headers.map((header) => {
                    const column = byId.get(header.column.id)!;
                    return (
                      <th
                        key={header.id}
                        scope="col"
                        aria-sort={sortState(column.sort, ask)}
                        className={clsx(
                          "px-3 py-1 font-semibold",
                          column.from && WIDTH[column.from],
                          column.align === "right" && "text-right",
                        )}
                      >
                        {column.sort === undefined ? (
                          <FlexRender header={header} />
                        ) : (
                          <Link
                            href={listAddress(path, ask, nextSort(column.sort, ask))}
                            className="inline-flex min-h-11 items-center gap-1 whitespace-nowrap"
                          >
                            <FlexRender header={header} />
                            {ask.sort === column.sort &&
                              (ask.down === "yes" ? (
                                <ArrowDown size={16} aria-hidden />
                              ) : (
                                <ArrowUp size={16} aria-hidden />
                              ))}
                          </Link>
                        )}
                      </th>
                    );
                  })}
                </tr>
              ))}
            </thead>
            <tbody>
              {table.getRowModel().rows.map((row) => (
                <tr
                  key={row.id}
                  className="border-rule border-b-[1.5px] border-dashed last:border-b-0 focus-within:bg-sunk hover:bg-sunk"
                >
                  {row.getVisibleCells().map((cell) => {
                    const column = byId.get(cell.column.id)!;
                    return (
                      <td
                        key={cell.id}
                        className={clsx(
                          "px-3 py-1.5 align-middle",
                          column.from && WIDTH[column.from],
                          column.align === "right" && "whitespace-nowrap text-right",
                        )}
                      >
                        <FlexRender cell={cell} />
                      </td>
                    );
                  })}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      {pages > 1 && (
        <nav aria-label="Pages" className="no-print flex items-center justify-center gap-3">
          <PageLink path={path} ask={ask} page={ask.page - 1} off={ask.page <= 1}>
            Before
          </PageLink>
          <span className="plate text-lead">
            {ask.page.toLocaleString("en")} of {pages.toLocaleString("en")}
          </span>
          <PageLink path={path} ask={ask} page={ask.page + 1} off={ask.page >= pages}>
            Further
          </PageLink>
        </nav>
      )}
    </div>
  );
}

function sortState(sort: string | undefined, ask: ListAsk): "ascending" | "descending" | undefined {
  if (sort === undefined || ask.sort !== sort) return undefined;
  return ask.down === "yes" ? "descending" : "ascending";
}

const nextSort = (sort: string, ask: ListAsk): ListAsk => ({
  sort,
  down: ask.sort === sort && ask.down !== "yes" ? "yes" : undefined,
});

/** Up and down go from row to row, as in a list; Enter opens. */
function moveByArrows(event: KeyboardEvent<HTMLTableElement>): void {
  const step = event.key === "ArrowDown" ? 1 : event.key === "ArrowUp" ? -1 : 0;
  if (step === 0) return;
  const links = [...event.currentTarget.querySelectorAll<HTMLAnchorElement>("tbody tr")].map((row) =>
    row.querySelector<HTMLAnchorElement>("a"),
  );
  const at = links.findIndex((link) => link?.closest("tr")?.contains(document.activeElement) === true);
  const next = links[at + step];
  if (next === undefined || next === null) return;
  event.preventDefault();
  next.focus();
}

/** What a list is narrowed by. The choice comes when the page stands: it is longer than many a list, and seldom opened. */
function FilterField({
  filter: { label, options },
  value,
  onValue,
}: {
  filter: ListFilter;
  value: string;
  onValue: (value: string) => void;
}) {
  const [offered, setOffered] = useState(false);
  useEffect(() => setOffered(true), []);
  const there = offered ? options : options.filter(([each]) => each === value);
  // An address may narrow by what is not among the most frequent.
  const choice =
    value === "" || there.some(([each]) => each === value) ? there : [[value, value] as const, ...there];
  return (
    <label className="block min-w-0 max-w-[46%] md:max-w-[210px]">
      <span className="caption block">{label}</span>
      <select className="field min-w-0" value={value} onChange={(event) => onValue(event.target.value)}>
        <option value="">all</option>
        {choice.map(([each, text]) => (
          <option key={each} value={each}>
            {text}
          </option>
        ))}
      </select>
    </label>
  );
}

function SearchField({
  placeholder,
  find,
  onFind,
}: {
  placeholder: string;
  find: string;
  onFind: (find: string) => void;
}) {
  const [typed, setTyped] = useState(find);
  const told = useRef(find);
  const tell = useRef(onFind);
  tell.current = onFind;
  // The way back gives an earlier search.
  useEffect(() => {
    if (find !== told.current) setTyped(find);
    told.current = find;
  }, [find]);
  useEffect(() => {
    if (typed === told.current) return;
    const timer = setTimeout(() => {
      told.current = typed;
      tell.current(typed);
    }, PAUSE_MS);
    return () => clearTimeout(timer);
  }, [typed]);
  return (
    <label className="block min-w-[200px] flex-1">
      <span className="caption block">Search</span>
      <input
        type="search"
        className="field"
        placeholder={placeholder}
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        onKeyDown={(event) => {
          if (event.key !== "ArrowDown") return;
          event.preventDefault();
          document.querySelector<HTMLAnchorElement>("tbody a")?.focus();
        }}
      />
    </label>
  );
}

function ColumnChooser<Row, Id extends string>({
  columns,
  shown,
  onShown,
}: {
  columns: readonly ListColumn<Row, Id>[];
  shown: readonly Id[];
  onShown: (ids: readonly Id[]) => void;
}) {
  return (
    <details className="relative">
      <summary className="btn btn-quiet list-none">
        <Columns3 size={19} aria-hidden /> Columns
      </summary>
      <div className="card absolute right-0 z-30 mt-1 w-56 p-3 shadow-xl">
        {columns.map(({ id, title }) => (
          <label key={id} className="flex min-h-11 items-center gap-3">
            <input
              type="checkbox"
              className="size-5 accent-[var(--go)]"
              checked={shown.includes(id)}
              // The first leads to the row.
              disabled={id === columns[0]?.id}
              onChange={(event) =>
                onShown(
                  columns
                    .map((each) => each.id)
                    .filter((each) => (each === id ? event.target.checked : shown.includes(each))),
                )
              }
            />
            {title}
          </label>
        ))}
      </div>
    </details>
  );
}

function PageLink({
  path,
  ask,
  page,
  off,
  children,
}: {
  path: string;
  ask: ListAsk;
  page: number;
  off: boolean;
  children: ReactNode;
}) {
  return off ? (
    <span className="btn btn-quiet opacity-50" aria-disabled>
      {children}
    </span>
  ) : (
    <Link href={listAddress(path, ask, { page })} className="btn btn-quiet">
      {children}
    </Link>
  );
}
