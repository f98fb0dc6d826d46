"use client";

import { format } from "date-fns";
import { toast } from "sonner";
import { entryWords } from "@/words";
import { Notice } from "../notice";
import { useSpeaker } from "../use-speaker";
import { entryAt, type JobLog } from "./use-job-log";

/** What was entered here and did not go into the log, with the ways to keep it or let it go. */
export function RefusedEntries({ log }: { log: JobLog }) {
  const words = useSpeaker();
  const { job, refused } = log;
  if (refused.length === 0) return null;
  const signed = job.status.kind === "signed-off";
  return (
    <div className="mb-3">
      <Notice tone="stop" live>
        <b>Not stored:</b> somebody else went on meanwhile. {refused.length === 1 ? "This was" : "These were"}{" "}
        entered on this device and did not go in:
        <ul className="my-2 max-h-44 overflow-y-auto">
          {refused.map(({ event, why }) => {
            const { what, entry } = entryWords(words, entryAt(job, event), job.inputs.sheet);
            return (
              <li key={event.id} className="flex gap-2 py-0.5">
                <span className="plate">{format(new Date(event.at), "HH:mm")}</span>
                <span>
                  {what} {entry !== "" && <b>{entry}</b>} <span className="text-soft">{why}</span>
                </span>
              </li>
            );
          })}
        </ul>
        {signed && (
          <p className="mb-2">
            The job is signed off meanwhile: tell the one who signed it, and write this down.
          </p>
        )}
        <span className="flex flex-wrap gap-2">
          {!signed && (
            <button type="button" className="btn btn-go" onClick={log.noteRefused}>
              Write {refused.length === 1 ? "it" : "them"} into the log as{" "}
              {refused.length === 1 ? "a note" : "notes"}
            </button>
          )}
          <button
            type="button"
            className="btn btn-quiet bg-card"
            onClick={() => {
              const back = log.letGo();
              toast("Let go.", { action: { label: "Undo", onClick: back } });
            }}
          >
            Let {refused.length === 1 ? "it" : "them"} go
          </button>
        </span>
      </Notice>
    </div>
  );
}
