"use client";

import type { Meanwhile as Facts } from "@/core/formats";
import { Notice } from "../notice";
import { useSpeaker } from "../use-speaker";

/** What had become otherwise when a job begun here was handed in. */
export function Meanwhile({ all = [] }: { all: readonly Facts[] | undefined }) {
  const words = useSpeaker().say.card.meanwhile;
  return all.map((each) => (
    <Notice key={each.kind} tone="wait">
      {each.kind === "another-job" ? (
        <>
          {words["another-job"](each.by)}{" "}
          <a className="underline underline-offset-4" href={`/jobs/${encodeURIComponent(each.job)}`}>
            {words.see}
          </a>
        </>
      ) : (
        words[each.kind](each.from, each.to)
      )}
    </Notice>
  ));
}
