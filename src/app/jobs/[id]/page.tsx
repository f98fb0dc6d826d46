import type { Metadata } from "next";
import { notFound, redirect } from "next/navigation";
import { pathId } from "@/app/path-id";
import { doubtOfJob } from "@/server/proof/verify";
import { services } from "@/server/services";
import { JobRunner } from "@/ui/job/job-runner";
import { Notice } from "@/ui/notice";
import { Page } from "@/ui/page";

export const metadata: Metadata = { title: "Job" };

export default async function JobPage({ params }: { params: Promise<{ id: string }> }) {
  const id = pathId((await params).id);
  const all = services();
  const job = all.jobs.find(id);
  if (job === undefined) notFound();
  if (job.closedAt !== undefined) redirect(`/jobs/${encodeURIComponent(id)}/record`);
  const doubt = doubtOfJob(all, job);
  if (doubt !== undefined)
    return (
      <Page title={`The job on ${job.inputs.valve.tag}`}>
        <Notice tone="stop" live>
          <b>Nothing is added to this log.</b> {doubt.message} Make the section safe by what stands at the
          valve, and start a new job.
        </Notice>
      </Page>
    );
  return <JobRunner inputs={job.inputs} stored={job.events.map((each) => each.event)} />;
}
