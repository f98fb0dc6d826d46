"use client";

import { useState } from "react";
import {
  columnsId,
  columnsOf,
  guessColumns,
  guessFile,
  MAPPED_FILES,
  type MappedFile,
  type Mapping,
  mappedRows,
  ROW_SCHEMAS,
} from "@/core/formats";
import { grouped } from "@/core/quantity";
import { call } from "@/edge/client";
import { MAPPINGS } from "@/edge/contracts/own";
import { type Option, SelectField } from "@/ui/kit/select-field";
import { TextField } from "@/ui/kit/text-field";
import { Notice } from "@/ui/notice";
import { Panel } from "@/ui/page";
import { labelOf } from "@/ui/schema-form/schema";
import { asCsv, type Table, wordsIn } from "./table";

const FILES: Readonly<Record<MappedFile, string>> = {
  register: "Valves",
  readings: "Readings",
  crew: "Crew",
  places: "Places",
  instruments: "Instruments",
};
const DATES: readonly Option[] = [
  { id: "dmy", name: "day first: 31.12.2018" },
  { id: "mdy", name: "month first: 12/31/2018" },
  { id: "ymd", name: "year first: 2018-12-31" },
];
/** Words of one column that are matched one by one; with more, they are matched where they are alike only. */
const MOST_WORDS = 60;

const plain = (text: string) => text.toLowerCase().replaceAll(/[^\p{L}\p{N}]+/gu, "");

/** A sheet that is meant by a word of theirs: by its id, title or model. */
function guessWords(words: readonly string[], choices: readonly Option[]): Record<string, string> {
  return Object.fromEntries(
    words.flatMap((word) => {
      const found = choices.find(({ id, name }) => plain(id) === plain(word) || plain(name) === plain(word));
      return found === undefined ? [] : [[word, found.id] as const];
    }),
  );
}

/**
 * Columns of somebody else's list matched with ours: guessed by their names, put right by hand, remembered for the next
 * list of that kind.
 */
export function MatchColumns({
  table,
  remembered,
  sheets,
  onMatched,
  onDrop,
}: {
  table: Table;
  remembered: readonly Mapping[];
  sheets: readonly Option[];
  onMatched: (csv: string) => void;
  onDrop: () => void;
}) {
  const id = columnsId(table.columns);
  const [mapping, setMapping] = useState<Mapping>(
    () => remembered.find((each) => each.id === id) ?? begun(table, id, sheets),
  );
  const { file, columns, same = {}, words = {} } = mapping;
  const put = (change: Partial<Mapping>) => setMapping({ ...mapping, ...change });
  const fields = columnsOf(file);
  const required = ROW_SCHEMAS[file].required as readonly string[];
  const named = new Set(Object.values(columns));
  const missing = required.filter(
    (field) => !named.has(field) && (same[field] ?? "") === "" && field !== "may",
  );
  const rows = mappedRows(mapping, table.rows);
  const sheetColumn =
    file === "register" ? table.columns.find((each) => columns[each] === "sheet") : undefined;
  const theirs = sheetColumn === undefined ? [] : wordsIn(table, sheetColumn);
  const unmatched = theirs.filter(
    (word) => words.sheet?.[word] === undefined && !sheets.some((each) => each.id === word),
  );
  const use = async () => {
    const used = fields.filter((field) => named.has(field) || same[field] !== undefined);
    // It is remembered beside the bringing in; whether that could be kept changes nothing here.
    void call(MAPPINGS.save, { params: { id }, body: { row: mapping } });
    onMatched(asCsv(used, rows));
  };
  return (
    <Panel title="Match the columns" note={`${table.name}, ${grouped(table.rows.length)} rows`}>
      <div className="grid gap-3 sm:grid-cols-3">
        <SelectField
          label="These are"
          value={file}
          options={MAPPED_FILES.map((each) => ({ id: each, name: FILES[each] }))}
          onChange={(to) => {
            const next = to as MappedFile;
            put({ file: next, columns: guessColumns(table.columns, next) });
          }}
        />
        <SelectField
          label="Dates are written"
          value={mapping.dates}
          options={DATES}
          onChange={(dates) => put({ dates: dates as Mapping["dates"] })}
        />
        <SelectField
          label="Decimals"
          value={mapping.decimal}
          options={[
            { id: "point", name: "1.5" },
            { id: "comma", name: "1,5" },
          ]}
          onChange={(decimal) => put({ decimal: decimal as Mapping["decimal"] })}
        />
      </div>
      <div className="mt-3 overflow-x-auto" tabIndex={0} role="group" aria-label="Columns">
        <table className="w-full text-left">
          <thead>
            <tr className="border-rule border-b-[1.5px]">
              <th className="py-1 pr-3 font-semibold">Their column</th>
              <th className="pr-3 font-semibold">First rows</th>
              <th className="font-semibold">Is our</th>
            </tr>
          </thead>
          <tbody>
            {table.columns.map((column) => (
              <tr key={column} className="border-rule border-b align-middle">
                <td className="py-1 pr-3 font-semibold">{column}</td>
                <td className="max-w-[16rem] truncate pr-3 text-note text-soft">
                  {table.rows
                    .slice(0, 3)
                    .map((row) => row[column] ?? "")
                    .filter(Boolean)
                    .join(" · ")}
                </td>
                <td className="min-w-44 py-1">
                  <select
                    className="field"
                    aria-label={`What ${column} is`}
                    value={columns[column] ?? ""}
                    onChange={(event) => {
                      const { [column]: _, ...rest } = columns;
                      const to = event.target.value;
                      // A field is filled from one column alone.
                      const others = Object.fromEntries(
                        Object.entries(rest).filter(([, field]) => field !== to),
                      );
                      put({ columns: to === "" ? rest : { ...others, [column]: to } });
                    }}
                  >
                    <option value="">left out</option>
                    {fields.map((field) => (
                      <option key={field} value={field}>
                        {labelOf(field)}
                      </option>
                    ))}
                  </select>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {file === "register" && (
        <div className="mt-3 grid gap-3 sm:grid-cols-2">
          {!named.has("place") && (
            <TextField
              label="Place of all of them"
              value={same.place ?? ""}
              onChange={(place) => put({ same: withWord(same, "place", place) })}
            />
          )}
          {!named.has("sheet") && (
            <SelectField
              label="Sheet of all of them"
              value={same.sheet ?? ""}
              options={[{ id: "", name: "choose one" }, ...sheets]}
              onChange={(sheet) => put({ same: withWord(same, "sheet", sheet) })}
            />
          )}
        </div>
      )}
      {theirs.length > 0 && (
        <fieldset className="mt-3">
          <legend className="font-semibold">Which sheet they mean</legend>
          <div className="mt-1 grid gap-x-4 gap-y-2 sm:grid-cols-2">
            {theirs.slice(0, MOST_WORDS).map((word) => (
              <SelectField
                key={word}
                label={word}
                value={words.sheet?.[word] ?? (sheets.some((each) => each.id === word) ? word : "")}
                options={[{ id: "", name: "choose one" }, ...sheets]}
                onChange={(sheet) =>
                  put({ words: { ...words, sheet: withWord(words.sheet ?? {}, word, sheet) } })
                }
              />
            ))}
          </div>
        </fieldset>
      )}
      {(missing.length > 0 || unmatched.length > 0) && (
        <div className="mt-3">
          <Notice tone="wait">
            {missing.length > 0 && `Not matched yet: ${missing.map((field) => labelOf(field)).join(", ")}. `}
            {unmatched.length > 0 && `No sheet is chosen for ${unmatched.slice(0, 5).join(", ")}.`} Valves
            that are here already need neither.
          </Notice>
        </div>
      )}
      <div className="mt-3 flex flex-wrap gap-3">
        <button type="button" className="btn btn-go" disabled={named.size === 0} onClick={() => void use()}>
          Use these columns
        </button>
        <button type="button" className="btn btn-quiet" onClick={onDrop}>
          Leave it
        </button>
      </div>
    </Panel>
  );
}

/** Words under their names; what is empty is taken out. */
function withWord(
  words: Readonly<Record<string, string>>,
  name: string,
  word: string,
): Record<string, string> {
  const { [name]: _, ...rest } = words;
  return word === "" ? rest : { ...rest, [name]: word };
}

/** What the columns most likely are. */
function begun(table: Table, id: string, sheets: readonly Option[]): Mapping {
  const file = guessFile(table.columns);
  const columns = guessColumns(table.columns, file);
  const sheetColumn = table.columns.find((each) => columns[each] === "sheet");
  const sheet = sheetColumn === undefined ? {} : guessWords(wordsIn(table, sheetColumn), sheets);
  const cells = table.rows.slice(0, 50).flatMap((row) => Object.values(row));
  const monthFirst = cells.some((cell) => /^\d{1,2}\/(1[3-9]|2\d|3[01])\/\d{2,4}$/.test(cell.trim()));
  return {
    id,
    name: table.name,
    file,
    dates: monthFirst ? "mdy" : cells.some((cell) => /^\d{4}-\d{2}-\d{2}/.test(cell.trim())) ? "ymd" : "dmy",
    decimal: cells.some((cell) => /^-?\d+,\d+$/.test(cell.trim())) ? "comma" : "point",
    columns,
    ...(Object.keys(sheet).length > 0 && { words: { sheet } }),
  };
}
