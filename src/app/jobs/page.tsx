import type { Metadata } from "next";
import Link from "next/link";
import { jobAt } from "@/server/jobs/append-events";
import { services } from "@/server/services";
import { Empty } from "@/ui/notice";
import { Page } from "@/ui/page";
import { Plate } from "@/ui/plate";
import { Day } from "@/ui/when";

export const metadata: Metadata = { title: "Jobs" };

const SAYS = { "at-work": "at work", stopped: "stopped", "signed-off": "signed off" } as const;

export default function JobsPage() {
  const jobs = services().jobs.all();
  return (
    <Page title="Jobs" says="Open ones first. A job is started from its valve.">
      <section className="card px-4 py-1">
        {jobs.length === 0 && <Empty>No job yet. Open a valve and start one.</Empty>}
        <ul className="dashed">
          {[...jobs]
            .sort((a, b) => Number(a.closedAt !== undefined) - Number(b.closedAt !== undefined))
            .map((job) => {
              const at = jobAt(job);
              const status = at.ok ? at.value.status.kind : "stopped";
              const done = at.ok
                ? [...at.value.states.values()].filter((state) => state.kind === "done").length
                : 0;
              return (
                <li key={job.inputs.id}>
                  <Link
                    href={
                      job.closedAt === undefined ? `/jobs/${job.inputs.id}` : `/jobs/${job.inputs.id}/record`
                    }
                    className="grid min-h-[62px] grid-cols-[112px_1fr_auto] items-center gap-3 py-1.5"
                  >
                    <Plate id={job.inputs.valve.tag} />
                    <span className="min-w-0">
                      {job.inputs.reason.says}
                      <small className="block text-[14.5px] text-soft">
                        {job.inputs.sheet.title}; <Day at={Date.parse(job.inputs.openedAt)} />,{" "}
                        {job.inputs.openedBy}
                      </small>
                    </span>
                    <span
                      className={`plate text-right text-[18px] ${status === "stopped" ? "text-stop" : status === "signed-off" ? "text-go-text" : ""}`}
                    >
                      {SAYS[status]}
                      {status !== "signed-off" && at.ok && (
                        <small className="block text-[15px] text-soft">
                          {done} of {at.value.states.size}
                        </small>
                      )}
                    </span>
                  </Link>
                </li>
              );
            })}
        </ul>
      </section>
    </Page>
  );
}
