"use client";

import { FileText } from "lucide-react";
import { Popover } from "radix-ui";
import { useState } from "react";
import { addressOf } from "@/edge/client";
import { JOB_PDF } from "@/edge/contracts/papers";
import { useSettings } from "../settings";

export type JobPaper = "record" | "customer" | "hand-over" | "order" | "isolation";

const SAYS: Readonly<Record<JobPaper, readonly [string, string]>> = {
  record: ["The whole record", "photographs, every entry and its proof"],
  customer: ["For the customer", "found, done, left, when it rings again"],
  "hand-over": ["Hand-over note", "what is shut, what is off, what comes next"],
  order: ["For whoever took it on", "what was seen, what is asked for"],
  isolation: ["Isolation set", "sheet, locks, permits, whom to tell"],
};

const SIZES = [
  ["A4", "A4"],
  ["LETTER", "Letter"],
] as const;

/** Papers of a job as PDF, on the paper that the printer has. */
export function JobPapers({ job, papers }: { job: string; papers: readonly JobPaper[] }) {
  const { system, mark } = useSettings();
  const [size, setSize] = useState<"A4" | "LETTER">(system === "us" ? "LETTER" : "A4");
  const address = (paper: JobPaper) =>
    addressOf(JOB_PDF, {
      params: { id: job, paper },
      query: { size, units: system, mark, zone: Intl.DateTimeFormat().resolvedOptions().timeZone },
    });
  return (
    <Popover.Root>
      <Popover.Trigger className="btn btn-quiet">
        <FileText size={20} aria-hidden="true" /> {papers.includes("record") ? "As PDF" : "Hand it over"}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={6}
          collisionPadding={8}
          aria-label="Papers of this job"
          className="card z-50 w-[min(22rem,calc(100vw-1rem))] p-3 shadow-2xl"
        >
          <fieldset className="flex items-center gap-2">
            <legend className="float-left mr-auto font-semibold">Paper</legend>
            {SIZES.map(([value, name]) => (
              <button
                key={value}
                type="button"
                aria-pressed={size === value}
                onClick={() => setSize(value)}
                className={`btn ${size === value ? "border-2 border-ink bg-ink text-paper" : "btn-quiet"}`}
              >
                {name}
              </button>
            ))}
          </fieldset>
          <ul className="dashed mt-2">
            {papers.map((paper) => (
              <li key={paper}>
                <a className="block min-h-12 py-2" href={address(paper)} target="_blank" rel="noreferrer">
                  <b className="underline underline-offset-4">{SAYS[paper][0]}</b>
                  <small className="block text-soft">{SAYS[paper][1]}</small>
                </a>
              </li>
            ))}
          </ul>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
