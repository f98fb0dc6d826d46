import type { Proof } from "@/core/formats";
import type { Run } from "@/core/job";
import { Notice } from "@/ui/notice";
import { Day } from "@/ui/when";

/** Whether the log is whole and whose it is: what a reader has to know before the rest. */
export function Wholeness({
  job,
  entries,
  doubt,
  origin,
  foreign,
  proof,
}: {
  job: Run;
  entries: number;
  doubt: string | undefined;
  /** Where the log was made; a foreign one cannot be shown to have happened so. */
  origin: "here" | "elsewhere" | "foreign";
  foreign: string | undefined;
  proof: Proof | undefined;
}) {
  if (doubt !== undefined)
    return (
      <Notice tone="stop" live>
        {doubt}
      </Notice>
    );
  if (origin === "foreign")
    return (
      <Notice tone="stop" live>
        <b>This log is foreign.</b> It was brought in, and it cannot be shown to have happened so: {foreign}{" "}
        It closes nothing, and nobody here answers for it.
      </Notice>
    );
  return (
    <Notice tone="go">
      <b>The log is whole.</b> {entries} entries, each sealed to the one before
      {proof !== undefined && (
        <>
          , and anchored as number {proof.anchor.seq} on <Day at={Date.parse(proof.anchor.at)} time />
        </>
      )}
      . <RecordStatus job={job} />
      {origin === "elsewhere" && (
        <> It was brought in from another installation; every entry was possible when it was made.</>
      )}
    </Notice>
  );
}

/** How it ended, or that it has not. */
function RecordStatus({ job }: { job: Run }) {
  const { status } = job;
  switch (status.kind) {
    case "signed-off":
      return (
        <>
          Signed off by {status.by}, <Day at={status.at} time />
          {job.current === undefined
            ? "."
            : ", before the work was begun: nothing was serviced, the valve stays due."}
        </>
      );
    case "not-begun":
      return (
        <>
          Closed as not begun by {status.by}, <Day at={status.at} time />: {status.reason}
        </>
      );
    case "stopped":
    case "at-work":
      return <>Not signed off yet.</>;
  }
}
