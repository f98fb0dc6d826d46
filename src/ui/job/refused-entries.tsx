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
  const { refused: card } = words.say.card;
  const { job, refused } = log;
  if (refused.length === 0) return null;
  const signed = job.status.kind === "signed-off";
  return (
    <div className="mb-3">
      <Notice tone="stop" live>
        <b>{card.title}</b> {card.why(refused.length)}
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
        {signed && <p className="mb-2">{card.signed}</p>}
        <span className="flex flex-wrap gap-2">
          {!signed && (
            <button type="button" className="btn btn-go" onClick={log.noteRefused}>
              {card.write(refused.length)}
            </button>
          )}
          <button
            type="button"
            className="btn btn-quiet bg-card"
            onClick={() => {
              const back = log.letGo();
              toast(card.gone, { action: { label: card.undo, onClick: back } });
            }}
          >
            {card.letGo(refused.length)}
          </button>
        </span>
      </Notice>
    </div>
  );
}
