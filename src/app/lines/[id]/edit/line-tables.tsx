"use client";

import Papa from "papaparse";
import { useState } from "react";
import { LINK_COLUMNS, type Line, linkRows } from "@/core/formats";
import { Panel } from "@/ui/page";
import { addLink, addNode } from "./edit-line";
import type { LineEditing } from "./use-line-editor";

/** The line as tables of its places and its links; a row takes it in hand. */
export function LineTables({ editing }: { editing: LineEditing }) {
  const { line, inHand, setInHand, change } = editing;
  const [list, setList] = useState<"places" | "links">("places");
  const add = () => {
    const start = line.nodes.find((node) => node.id === inHand)?.id;
    const made = list === "places" ? addNode(line) : addLink(line, start);
    change(made.line);
    setInHand(made.id);
  };
  return (
    <Panel title="Table">
      <div className="mb-2 flex gap-2" role="group" aria-label="What the table lists">
        {(["places", "links"] as const).map((each) => (
          <button
            key={each}
            type="button"
            className="btn btn-quiet flex-1"
            aria-pressed={list === each}
            onClick={() => setList(each)}
          >
            {each === "places" ? `Places ${line.nodes.length}` : `Links ${line.links.length}`}
          </button>
        ))}
      </div>
      <button type="button" className="btn btn-quiet mb-2 w-full" onClick={add}>
        {list === "places" ? "Add a place" : "Add a link"}
      </button>
      <div className="overflow-x-auto">
        <table className="w-full text-note">
          <thead>
            <tr className="caption text-left">
              <th className="py-1 pr-2 font-normal">Id</th>
              <th className="py-1 pr-2 font-normal">Kind</th>
              <th className="py-1 font-normal">{list === "places" ? "Name" : "From, to"}</th>
            </tr>
          </thead>
          <tbody>
            {(list === "places" ? line.nodes : line.links).map((each) => (
              <tr key={each.id} className={each.id === inHand ? "bg-brass-bg" : ""}>
                <td className="border-rule border-t pr-2">
                  <button
                    type="button"
                    className="min-h-11 w-full text-left font-semibold"
                    aria-pressed={each.id === inHand}
                    onClick={() => setInHand(each.id)}
                  >
                    {each.id}
                  </button>
                </td>
                <td className="border-rule border-t pr-2 text-soft">{each.kind}</td>
                <td className="border-rule border-t text-soft">
                  {"from" in each ? `${each.from} → ${each.to}` : each.name}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <LinksFile editing={editing} />
    </Panel>
  );
}

/** The links as a file of a spreadsheet, out and in. */
function LinksFile({ editing: { line, bringIn } }: { editing: LineEditing }) {
  return (
    <div className="mt-3 flex flex-col gap-2">
      <button type="button" className="btn btn-quiet" onClick={() => download(line)}>
        Take the links as CSV
      </button>
      <label className="btn btn-quiet cursor-pointer">
        Bring links in from CSV
        <input
          type="file"
          accept=".csv,text/csv"
          className="sr-only"
          onChange={(event) => {
            const file = event.target.files?.[0];
            event.target.value = "";
            if (file !== undefined) void bringIn(file);
          }}
        />
      </label>
    </div>
  );
}

function download(line: Line): void {
  const csv = Papa.unparse(linkRows(line.links), { columns: [...LINK_COLUMNS] });
  const href = URL.createObjectURL(new Blob([csv], { type: "text/csv" }));
  Object.assign(document.createElement("a"), { href, download: `${line.id}.links.csv` }).click();
  URL.revokeObjectURL(href);
}
