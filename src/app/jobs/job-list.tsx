"use client";

import clsx from "clsx";
import Link from "next/link";
import type { JobStatus } from "@/core/formats";
import type { ListColumn, ListPage } from "@/ui/list/list-page";
import { ListTable } from "@/ui/list/list-table";
import { Plate } from "@/ui/plate";
import { Day } from "@/ui/when";
import { STATUS_LABELS } from "./status-labels";

export interface ListedJob {
  readonly job: string;
  readonly valve: string;
  readonly place: string;
  readonly says: string;
  readonly sheet: string;
  readonly openedAt: number;
  readonly openedBy: string;
  readonly closed: boolean;
  readonly status: JobStatus;
  readonly elsewhere: boolean;
  readonly step: string;
  readonly done: number;
  readonly steps: number;
  /** What was found wrong with its log. */
  readonly doubt: string | undefined;
}

const TONE: Partial<Record<JobStatus, string>> = {
  stopped: "text-stop",
  foreign: "text-stop",
  "signed-off": "text-go-text",
};

const href = ({ job, closed }: ListedJob) =>
  closed ? `/jobs/${encodeURIComponent(job)}/record` : `/jobs/${encodeURIComponent(job)}`;

const COLUMNS: readonly ListColumn<ListedJob, "valve" | "why" | "place" | "opened" | "step" | "status">[] = [
  {
    id: "valve",
    title: "Valve",
    sort: "valve",
    cell: (row) => <Plate id={row.valve} href={href(row)} />,
  },
  {
    id: "why",
    title: "Why",
    cell: (row) => (
      <Link prefetch={false} href={href(row)} className="block">
        {row.says}
        <small className="block text-note text-soft">{row.sheet}</small>
        {row.elsewhere && <small className="block text-note text-wait">brought in from elsewhere</small>}
        {row.doubt !== undefined && <small className="block text-note text-stop">{row.doubt}</small>}
      </Link>
    ),
  },
  { id: "place", title: "Place", sort: "place", from: "lg", cell: ({ place }) => place },
  {
    id: "opened",
    title: "Opened",
    sort: "opened",
    from: "md",
    cell: ({ openedAt, openedBy }) => (
      <>
        <Day at={openedAt} />
        <small className="block text-note text-soft">{openedBy}</small>
      </>
    ),
  },
  {
    id: "step",
    title: "Next",
    sort: "left",
    from: "lg",
    cell: ({ closed, step }) => <span className="line-clamp-2">{closed ? "" : step}</span>,
  },
  {
    id: "status",
    title: "State",
    sort: "status",
    align: "right",
    cell: ({ status, done, steps, closed }) => (
      <span className={clsx("plate text-lead", TONE[status])}>
        {STATUS_LABELS[status]}
        {!closed && (
          <small className="block text-note text-soft">
            {done} of {steps}
          </small>
        )}
      </span>
    ),
  },
];

export function JobList(page: ListPage<ListedJob>) {
  return (
    <ListTable
      {...page}
      path="/jobs"
      columns={COLUMNS}
      rowId={({ job }) => job}
      placeholder="Tag, reason, sheet or name"
      exportPath="/api/v1/export/jobs.csv"
      none="No job fits. Take a filter away, or search for less."
    />
  );
}
