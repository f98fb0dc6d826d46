"use client";

import { format } from "date-fns";
import { useEffect, useState } from "react";
import { entryWords } from "@/words";
import { Notice } from "../notice";
import { useSpeaker } from "../use-speaker";
import { entryAt, type JobLog } from "./use-job-log";

/** How many of them somebody at this device has seen, by job. */
const shelf = (job: string) => `loftbell.beside.${job}`;

/** What two devices entered of the same, each with what became of it, until it was seen on this device. */
export function BesideEntries({ log }: { log: JobLog }) {
  const words = useSpeaker();
  const { beside: card } = words.say.card;
  const { job } = log;
  const { id } = job.inputs;
  const [seen, setSeen] = useState<number>();
  useEffect(() => setSeen(Number(localStorage.getItem(shelf(id)) ?? 0)), [id]);
  const beside = job.log.flatMap((event) =>
    event.elsewhere === undefined ? [] : [{ event, settled: event.elsewhere.settled }],
  );
  if (seen === undefined || beside.length <= seen) return null;
  const fresh = beside.slice(seen);
  // What was merely done twice is counted; a second lock on a valve is one more that has to come off.
  const toldAs = fresh.filter(
    ({ event, settled }) => settled !== "same" || (event.kind === "step-done" && event.entry !== undefined),
  );
  return (
    <div className="mb-3">
      <Notice tone={toldAs.some(({ settled }) => settled === "stops") ? "stop" : "wait"} live>
        <b>{card.title}</b> {card.why}
        <ul className="my-2 max-h-44 overflow-y-auto">
          {toldAs.map(({ event, settled }) => {
            const { what, entry } = entryWords(words, entryAt(job, event), job.inputs.sheet);
            return (
              <li key={event.id} className="flex gap-2 py-0.5">
                <span className="plate">{format(new Date(event.at), "HH:mm")}</span>
                <span>
                  {event.by}: {what} {entry !== "" && <b>{entry}</b>}{" "}
                  <span className="text-soft">{card.settled[settled]}</span>
                </span>
              </li>
            );
          })}
          {fresh.length > toldAs.length && (
            <li className="py-0.5">{card.twice(fresh.length - toldAs.length)}</li>
          )}
        </ul>
        <button
          type="button"
          className="btn btn-quiet bg-card"
          onClick={() => {
            localStorage.setItem(shelf(id), String(beside.length));
            setSeen(beside.length);
          }}
        >
          {card.seen}
        </button>
      </Notice>
    </div>
  );
}
