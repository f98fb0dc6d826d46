"use client";

import { NotHere } from "@/ui/along/not-here";
import { useJobHere } from "@/ui/along/use-job-here";
import { JobRunner } from "@/ui/job/job-runner";

/** A job by what lies on this device: it opens from a cold start, without the server. */
export function JobHere() {
  const { id, found } = useJobHere();
  if (found === undefined)
    return (
      <p role="status" className="p-5 text-soft">
        Opening the job …
      </p>
    );
  if (found === null) return <NotHere id={id} />;
  const { inputs, crew, signedIn } = found.job;
  return (
    <JobRunner
      inputs={inputs}
      stored={found.known.stored}
      crew={crew}
      {...(signedIn !== undefined && { signedIn })}
    />
  );
}
