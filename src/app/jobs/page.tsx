import type { Metadata } from "next";
import { asked, type SearchParams } from "@/app/list-query";
import { UnreadableList } from "@/app/unreadable-list";
import { JOB_STATES, readAs } from "@/core/formats";
import { grouped } from "@/core/quantity";
import { JOB_LIST_QUERY } from "@/edge/contracts/register";
import { listJobs, PAGE } from "@/server/lists/lists";
import { watched } from "@/server/proof/watch";
import { services } from "@/server/services";
import { Empty } from "@/ui/notice";
import { Page } from "@/ui/page";
import { JobList } from "./job-list";
import { STATUS_LABELS } from "./status-labels";

export const metadata: Metadata = { title: "Jobs" };

/** A longer choice is no choice: the search finds the rest. */
const MOST_OFFERED = 60;

export default async function JobsPage({ searchParams }: { searchParams: SearchParams }) {
  const all = services();
  const counts = all.summaries.countByStatus();
  if (counts.size === 0)
    return (
      <Page title="Jobs">
        <Empty>No job yet. Open a valve and start one.</Empty>
      </Page>
    );
  const read = readAs(JOB_LIST_QUERY, asked(await searchParams));
  if (!read.ok) return <UnreadableList title="Jobs" path="/jobs" problems={read.error} />;
  const query = read.value;
  const { rows, total } = listJobs(all, query);
  const doubts = new Map(
    watched(all).doubts.flatMap(({ subject, id, message }) =>
      subject === "job" ? [[id, message] as const] : [],
    ),
  );
  return (
    <Page title="Jobs" says="The newest first. A job is started from its valve.">
      <JobList
        ask={{
          ...query,
          sort: query.sort ?? "opened",
          down: query.sort === undefined ? "yes" : query.down,
          page: query.page ?? 1,
        }}
        rows={rows.map((row) => ({
          job: row.job,
          valve: row.valve,
          place: row.place,
          says: row.says,
          sheet: row.sheetTitle,
          openedAt: row.openedAt,
          openedBy: row.openedBy,
          closed: row.status !== "at-work" && row.status !== "stopped",
          status: row.status,
          elsewhere: row.origin === "elsewhere",
          step: row.step,
          done: row.done,
          steps: row.steps,
          doubt: doubts.get(row.job),
        }))}
        total={total}
        pageSize={PAGE}
        filters={[
          {
            name: "state",
            label: "State",
            options: JOB_STATES.flatMap((state) => {
              const count = counts.get(state) ?? 0;
              return count === 0 ? [] : [[state, `${STATUS_LABELS[state]} (${grouped(count)})`] as const];
            }),
          },
          {
            name: "place",
            label: "Place",
            options: all.summaries
              .places()
              .slice(0, MOST_OFFERED)
              .map((place) => [place, place] as const),
          },
        ]}
      />
    </Page>
  );
}
