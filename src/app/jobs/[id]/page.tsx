import type { Metadata } from "next";
import { notFound, redirect } from "next/navigation";
import { services } from "@/server/services";
import { JobRunner } from "@/ui/job/job-runner";

export const metadata: Metadata = { title: "Job" };

export default async function JobPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const job = services().jobs.find(id);
  if (job === undefined) notFound();
  if (job.closedAt !== undefined) redirect(`/jobs/${id}/record`);
  return <JobRunner inputs={job.inputs} stored={job.events.map((each) => each.event)} />;
}
