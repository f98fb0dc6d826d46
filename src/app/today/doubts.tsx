import Link from "next/link";
import type { watched } from "@/server/proof/watch";
import { Notice } from "@/ui/notice";

/** What is no longer as it was stored. */
export function Doubts({ doubts, whole }: Pick<ReturnType<typeof watched>, "doubts" | "whole">) {
  return (
    <Notice tone="stop" live>
      <b>Not as it was stored:</b>
      <ul className="mt-1 list-disc pl-5">
        {doubts.slice(0, 4).map((doubt) => (
          <li key={doubt.subject + doubt.id}>
            {doubt.subject === "job" ? (
              <Link href={`/jobs/${encodeURIComponent(doubt.id)}/record`} className="underline">
                Job {doubt.id}
              </Link>
            ) : doubt.subject === "readings" ? (
              <Link href={`/valves/${encodeURIComponent(doubt.id)}`} className="underline">
                Readings of {doubt.id}
              </Link>
            ) : (
              "The installation"
            )}
            : {doubt.message}
          </li>
        ))}
      </ul>
      {!whole && <p>Still looking at the rest.</p>}
    </Notice>
  );
}
