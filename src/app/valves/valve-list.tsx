"use client";

import Link from "next/link";
import type { ListColumn, ListPage } from "@/ui/list/list-page";
import { ListTable } from "@/ui/list/list-table";
import { Plate } from "@/ui/plate";
import { When } from "@/ui/when";
import { type BulkChoices, ChangeSeveral } from "./change-several";

/** A valve as this list shows it: no more of it is sent. */
export interface ListedValve {
  readonly tag: string;
  readonly name: string;
  readonly place: string;
  readonly sheet: string;
  readonly family: string;
  readonly symptom: string | null;
  /** ms; nothing when nothing is planned. */
  readonly due: number | null;
  readonly job: string | null;
  /** What was found wrong with its readings. */
  readonly doubt: boolean;
}

const COLUMNS: readonly ListColumn<ListedValve, "tag" | "name" | "place" | "sheet" | "state" | "due">[] = [
  {
    id: "tag",
    title: "Tag",
    sort: "tag",
    cell: ({ tag }) => <Plate id={tag} href={`/valves/${encodeURIComponent(tag)}`} />,
  },
  {
    id: "name",
    title: "Valve",
    sort: "name",
    cell: ({ name, place, symptom, doubt }) => (
      <>
        <span className="block">{name}</span>
        <small className="block text-note text-soft md:hidden">{place}</small>
        {symptom !== null && <small className="block text-note text-wait">{symptom}</small>}
        {doubt && <small className="block text-note text-stop">Its readings were changed</small>}
      </>
    ),
  },
  { id: "place", title: "Place", sort: "place", from: "md", cell: ({ place }) => place },
  { id: "sheet", title: "Sheet", sort: "sheet", from: "lg", cell: ({ sheet }) => sheet },
  {
    id: "state",
    title: "State",
    from: "md",
    cell: ({ job, symptom }) =>
      job !== null ? (
        <Link
          prefetch={false}
          href={`/jobs/${encodeURIComponent(job)}`}
          className="min-h-11 content-center underline underline-offset-4"
        >
          at work
        </Link>
      ) : symptom !== null ? (
        "reported"
      ) : (
        ""
      ),
  },
  {
    id: "due",
    title: "Rings",
    sort: "due",
    align: "right",
    cell: ({ due, job }) => (
      <span className="plate text-lead">
        {job !== null ? "at work" : due === null ? "–" : <When at={due} />}
      </span>
    ),
  },
];

export function ValveList({ choices, ...page }: ListPage<ListedValve> & { readonly choices: BulkChoices }) {
  return (
    <ListTable
      {...page}
      path="/valves"
      columns={COLUMNS}
      rowId={({ tag }) => tag}
      placeholder="Tag, name, serial"
      exportPath="/api/v1/export/valves.csv"
      several={(chosen, letGo) => (
        <ChangeSeveral
          tags={[...chosen]}
          ask={page.ask}
          total={page.total}
          retired={page.ask.state === "retired"}
          choices={choices}
          onDone={letGo}
        />
      )}
      none="No valve fits. Take a filter away, or search for less."
    />
  );
}
