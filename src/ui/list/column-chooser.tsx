import { Columns3 } from "lucide-react";
import type { ListColumn } from "./list-page";

/** Which columns are shown. */
export function ColumnChooser<Row, Id extends string>({
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
