"use client";

import { toast } from "sonner";
import { foundBefore } from "@/core/job";
import { useSpeaker } from "../use-speaker";
import type { JobLog } from "./use-job-log";

/** What the case brought along: whoever doubts an answer at the valve has it asked again. */
export function FoundBefore({ log }: { log: JobLog }) {
  const { foundBefore: words } = useSpeaker().say.card;
  const { inputs, log: events } = log.job;
  const found = foundBefore(inputs, events);
  if (found.length === 0) return null;
  return (
    <details>
      <summary className="min-h-12 cursor-pointer content-center px-1 text-soft underline underline-offset-4">
        {words.title(found.length)}
      </summary>
      <ul className="card dashed mt-1 px-3">
        {found.map(({ check: id, answer, typed, event }) => {
          const check = inputs.sheet.checks.find((each) => each.id === id);
          const label =
            check?.kind === "choice" ? check.options.find((each) => each.id === answer)?.label : undefined;
          return (
            <li key={id} className="flex items-center justify-between gap-3 py-2">
              <span>
                {check?.ask ?? id} <b>{label ?? typed ?? answer}</b>
              </span>
              <button
                type="button"
                className="btn btn-quiet shrink-0"
                onClick={() => {
                  log.add({ kind: "undone", event });
                  toast(words.asked);
                }}
              >
                {words.again}
              </button>
            </li>
          );
        })}
      </ul>
    </details>
  );
}
