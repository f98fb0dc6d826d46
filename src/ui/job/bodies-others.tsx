"use client";

import { Lock } from "lucide-react";
import Link from "next/link";
import type { BodyProps } from "./step-form";

/** What other jobs hold: each with the way to it. The card goes on by itself. */
export function OthersBody({ step }: BodyProps<"others">) {
  return (
    <>
      <ul className="card dashed divide-y divide-line px-4">
        {step.held.map(({ link, name, job, valve }) => (
          <li key={link} className="flex min-h-12 flex-wrap items-center gap-x-3 py-2">
            <Lock size={20} aria-hidden className="shrink-0 text-stop" />
            <span className="grow font-bold">{name === link ? link : `${link} ${name}`}</span>
            <Link href={`/jobs/${job}`} className="btn btn-quiet min-h-12 px-3">
              Job on {valve}
            </Link>
          </li>
        ))}
      </ul>
      <p className="text-body text-soft">
        This card goes on by itself when the last of them is open. You may stop work here and take it up then:
        nothing is lost.
      </p>
    </>
  );
}
