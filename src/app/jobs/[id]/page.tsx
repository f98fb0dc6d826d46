import type { Metadata } from "next";
import { notFound, redirect } from "next/navigation";
import { pathId } from "@/app/path-id";
import { readEntered } from "@/app/settings";
import { certificatesOf } from "@/core/formats";
import { namesOn } from "@/server/access/sessions";
import { readJob } from "@/server/jobs/read-job";
import { services } from "@/server/services";
import { JobRunner } from "@/ui/job/job-runner";
import { Notice } from "@/ui/notice";
import { Page } from "@/ui/page";

export const metadata: Metadata = { title: "Job" };

export default async function JobPage({ params }: { params: Promise<{ id: string }> }) {
  const id = pathId((await params).id);
  const all = services();
  const job = readJob(all, id);
  if (job === undefined) notFound();
  const status = all.summaries.statusOf(id);
  if (status !== "at-work" && status !== "stopped") redirect(`/jobs/${encodeURIComponent(id)}/record`);
  if (job.doubt !== undefined)
    return (
      <Page title={`The job on ${job.inputs.valve.tag}`}>
        <Notice tone="stop" live>
          <b>Nothing is added to this log.</b> {job.doubt} Make the section safe by what stands at the valve,
          and start a new job.
        </Notice>
      </Page>
    );
  const entered = await readEntered();
  return (
    <JobRunner
      inputs={job.inputs}
      stored={job.events.map((each) => each.event)}
      crew={new Map(all.library.crew().map((person) => [person.name, certificatesOf(person)]))}
      {...(entered !== undefined && { signedIn: namesOn(all, entered.device) })}
    />
  );
}
