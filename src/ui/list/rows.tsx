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
import { ArrowDown, ArrowUp } from "lucide-react";
import Link from "next/link";
import type { KeyboardEvent } from "react";
import { type ListAsk, listAddress } from "./list-address";
import type { ListColumn, ListPage } from "./list-page";

const WIDTH = { md: "hidden md:table-cell", lg: "hidden lg:table-cell" } as const;
const features = tableFeatures({ columnVisibilityFeature, rowSortingFeature });

/** One page of rows under the heads of their columns. */
export function Rows<Row extends object, Id extends string>({
  path,
  ask,
  columns,
  shown,
  rows,
  rowId,
  choosing,
}: Pick<ListPage<Row>, "ask" | "rows"> & {
  /** Rows that several things are done with at once; nothing while nobody chooses. */
  readonly choosing?: Choosing;
  readonly path: string;
  readonly columns: readonly ListColumn<Row, Id>[];
  readonly shown: readonly Id[];
  readonly rowId: (row: Row) => string;
}) {
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
  return (
    <table className="w-full text-left" onKeyDown={moveByArrows}>
      <thead>
        {table.getHeaderGroups().map((group) => (
          <tr key={group.id} className="border-rule border-b-[1.5px]">
            {choosing !== undefined && (
              <th scope="col" className="w-12 pl-3">
                <ChooseBox
                  label="Choose all rows of this page"
                  checked={rows.length > 0 && rows.every((row) => choosing.chosen.has(rowId(row)))}
                  onChange={(on) => choosing.choose(rows.map(rowId), on)}
                />
              </th>
            )}
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
            {choosing !== undefined && (
              <td className="w-12 pl-3">
                <ChooseBox
                  label={`Choose ${row.id}`}
                  checked={choosing.chosen.has(row.id)}
                  onChange={(on) => choosing.choose([row.id], on)}
                />
              </td>
            )}
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
  );
}

export interface Choosing {
  readonly chosen: ReadonlySet<string>;
  readonly choose: (ids: readonly string[], on: boolean) => void;
}

function ChooseBox({
  label,
  checked,
  onChange,
}: {
  label: string;
  checked: boolean;
  onChange: (on: boolean) => void;
}) {
  return (
    <label className="grid size-11 cursor-pointer place-items-center">
      <input
        type="checkbox"
        aria-label={label}
        className="size-6 accent-[var(--go)]"
        checked={checked}
        onChange={(event) => onChange(event.target.checked)}
      />
    </label>
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
