"use client";

import { Lock } from "lucide-react";
import Link from "next/link";
import { namedLink } from "@/words";
import { useSpeaker } from "../use-speaker";
import type { BodyProps } from "./step-form";

/** What other jobs hold, job by job with the way to it. The card goes on by itself. */
export function OthersBody({ step }: BodyProps<"others">) {
  const words = useSpeaker();
  const jobs = [...new Map(step.held.map(({ job, valve }) => [job, valve]))];
  return (
    <>
      {jobs.map(([job, valve]) => (
        <section key={job} className="card dashed p-4">
          <ul>
            {step.held
              .filter((each) => each.job === job)
              .map(({ link, name }) => (
                <li key={link} className="flex items-center gap-3 py-1 font-bold">
                  <Lock size={20} aria-hidden className="shrink-0 text-stop" />
                  {namedLink(words, link, name)}
                </li>
              ))}
          </ul>
          <Link href={`/jobs/${job}`} className="btn btn-quiet mt-2 w-full">
            {words.say.card.others.job(valve)}
          </Link>
        </section>
      ))}
      <p className="text-body text-soft">{words.say.card.others.goesOn}</p>
    </>
  );
}
